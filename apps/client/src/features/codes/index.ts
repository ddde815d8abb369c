export { Viewfinder } from './Viewfinder';
