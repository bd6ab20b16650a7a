export { demoFilm } from './film';
export { demoKit } from './kit';
