export { bodies } from './bodies.js';
export { nasty, pathsIn, withValue, type Json } from './nasty.js';
