export { readCoordinates } from './read';
export { writeCoordinates } from './write';
