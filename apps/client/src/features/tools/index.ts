export { HowFar } from './HowFar';
export { HowFarScreen } from './HowFarScreen';
export { ToolList } from './ToolList';
export { ToolScreen } from './ToolScreen';
