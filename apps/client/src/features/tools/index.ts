export { PackCoverage } from './PackCoverage';
export { PackCoverageScreen } from './PackCoverageScreen';
export { ToolList } from './ToolList';
export { ToolScreen } from './ToolScreen';
