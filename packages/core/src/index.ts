export { t } from './text/text';
export * from './calc/typed';
export * from './calc/calc';
export * from './calc/issues';
export * from './units/clock';
export * from './units/quantities';
export * from './calc/shortened';
export * from './units/parse';
export * from './units/format';
export * from './units/measure';
export {
  isMessage,
  joined,
  m,
  MessageSchema,
  q,
  type Message,
  type MessageValue,
  type Quantified,
} from './message/message';
export * from './message/word';
export * from './materials/card';
export * from './materials/milestones';
export * from './materials/hazards';
export * from './materials/mix';
export * from './materials/substrates';
export * from './materials/words';
export * from './site/site';
export { TRADE_CONSTANTS, TRADE_IDS, tradeAt, USUAL_TRADE, type Trade } from './trade/trade';
export type { TradeConstant } from './trade/constant';
export { ASSET_MOST } from './survey/common';
export * from './survey/fields';
export * from './survey/demand';
export * from './work/draw';
export * from './work/figure';
export * from './work/schools';
export * from './work/stations';
export * from './work/step';
export * from './work/supplies';
export * from './work/context';
export * from './work/weather';
export * from './work/weighing';
export * from './schedule/axis';
export * from './schedule/clock';
export * from './schedule/state';
export * from './units/zone';
export * from './section/drawing';
export * from './section/point';
export { boxOf, LETTER_PX, type Box, type Lettered } from './section/lettering';
export * from './family/family';
export * from './families/registry';
export * from './form/draft';
export * from './form/lines';
export * from './form/sketch';
export * from './job/secondMaterials';
export * from './rules/rule';
export * from './match/changes';
export * from './match/match';
export * from './match/rank';
export * from './plan/changes';
export * from './plan/check';
export * from './plan/costs';
export { layersText, serviceText } from './plan/layers';
export { unknownIds } from './plan/ids';
export * from './plan/packCoverage';
export * from './plan/leftovers';
export * from './plan/make';
export { fieldsWithoutEffect, type EffectInput } from './plan/fieldsWithoutEffect';
export { POOR_PCT } from './plan/outlook';
export * from './plan/plan';
export * from './plan/preview';
export * from './plan/roundFigure';
export * from './plan/section';
export { remediesOf } from './plan/planParts';
export { falseSentences, longSentences, MOST_WORDS } from './plan/words';
export * from './run/tasks';
export * from './run/planSummary';
export * from './run/planSummaryOf';
export * from './run/calls';
export * from './run/nextAction';
export * from './run/pace';
export * from './run/strip';
export * from './run/strips';
export * from './survey/letter';
export * from './tool/edit';
export * from './tool/form';
export * from './tool/result';
export * from './tool/typed';
