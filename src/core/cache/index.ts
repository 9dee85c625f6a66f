export { lazy } from './lazy';
export { recent } from './recent';
