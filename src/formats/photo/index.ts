export { LARGEST_PHOTO, readPhoto } from './read-photo';
export { orientationOf, upright } from './orientation';
