export { RepairScreen } from './RepairScreen';
