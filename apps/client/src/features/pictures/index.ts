export { Pictures } from './Pictures';
