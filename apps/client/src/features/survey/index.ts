export { ShapeTiles } from './ShapeTiles';
export { SurveyScreen } from './SurveyScreen';
export { asTyped } from './draftOf';
