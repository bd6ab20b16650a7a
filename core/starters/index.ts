export { AIRCRAFT_CLASSES, type AircraftClass } from './classes';
export { type Experience, EXPERIENCES, levelsOf } from './experience';
export { starterFilm, type StarterChoice, type StarterFilm } from './starter-film';
export { FILM_TEMPLATES, type FilmTemplate } from './templates';
