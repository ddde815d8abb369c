import { t } from '../text/text';
import { word } from '../message/word';
import { sentencesOf, warningsOf, type Step } from '../work/step';

/** A tool or a small thing that sentences name and no supply holds. */
interface Thing {
  name: string;
  named: RegExp;
}

/** The tools and small things of the trade, by the words that name them. */
const THINGS: readonly Thing[] = [
  { name: t('Locks and tags'), named: /\b(hang (your|a) tag|lock off|lock the belt)\b/i },
  { name: t('Rule and camera'), named: /\bwith a rule\b/i },
  { name: t('Rags'), named: /\b(rags?|wipe with|degrease)\b/i },
  { name: t('Lint-free cloths'), named: /\blint-free cloth\b/i },
  { name: t('Clean water'), named: /\brinse|\bclean water\b|\bpail of water\b/i },
  { name: t('Masking tape'), named: /\b(masking|fresh) tape\b|\bpress tape\b/i },
  { name: t('Vacuum cleaner'), named: /\bvacuum (the|it|them|cleaner)\b/i },
  { name: t('Brush'), named: /\bbrush (it|the|them)\b|\b(stiff|soft|dry|wire) brush\b/i },
  { name: t('Oil-free compressed air'), named: /\boil-free air\b/i },
  { name: t('Profile gauge'), named: /\bmeasure the profile\b/i },
  { name: t('Thermometer and hygrometer'), named: /\bair temperature, humidity\b/i },
  { name: t('Thermometer'), named: /\bmeasure the temperature at the place\b/i },
  { name: t('Drill'), named: /\bdrill a\b/i },
  { name: t('Scale and containers'), named: /\bweigh\b/i },
  { name: t('Straight measuring cups'), named: /\bstraight cups\b/i },
  { name: t('Straight edge'), named: /\bstraight edge (of|across|on|over)\b/i },
  { name: t('Feeler gauge'), named: /\bfeeler gauge\b/i },
  { name: t('Coin'), named: /\bwith a coin\b/i },
  { name: t('Hammer'), named: /\bwith a hammer\b/i },
  { name: t('Chain'), named: /\bdrag a chain\b/i },
  { name: t('Shore gauge'), named: /\bshore [AD] gauge\b/i },
  { name: t('Film thickness gauge'), named: /\bmeasure the thickness\b/i },
  { name: t('Test pump and pressure gauge'), named: /\braise the pressure\b/i },
  { name: t('Ultrasonic wall gauge'), named: /\bby ultrasound\b/i },
  { name: t('Holiday tester'), named: /\b(sponge of the tester|move the electrode)\b/i },
  { name: t('pH paper'), named: /\bpH paper\b/i },
  { name: t('Soda'), named: /\bput soda\b/i },
  { name: t('Soap'), named: /\bsoap(y|\b)/i },
  { name: t('Dye'), named: /\bput dye\b/i },
  { name: t('Prop'), named: /\b(its|a) prop\b/i },
  { name: t('Film to cover it'), named: /\b(with|lay) (stretch )?film\b|\bclear film\b/i },
  { name: t('Abrasive paper'), named: /\babrasive paper\b/i },
  { name: t('Coarse abrasive'), named: /\bcoarse abrasive\. |use coarse abrasive\b/i },
  { name: t('Spatula'), named: /\bspatula\b/i },
  { name: t('Needle'), named: /\bwith a needle\b/i },
  { name: t('Saw'), named: /\bsaw (a|along)\b/i },
  { name: t('Rotary rasp'), named: /\brotary rasp\b/i },
  { name: t('Small burr'), named: /\bsmall burr\b/i },
  { name: t('Blast machine and grit'), named: /\bgrit blasting\b/i },
  { name: t('Gas tester'), named: /\btest the air\b/i },
  { name: t('Fan or air mover'), named: /\bblow fresh air\b/i },
  { name: t('Inflation cage and remote hose'), named: /\binto the cage\b/i },
  { name: t('Soldering iron'), named: /\bsoldering iron\b/i },
  { name: t('Broom'), named: /\bdraw a broom\b/i },
  { name: t('Gauge rake'), named: /\bgauge rake\b/i },
  { name: t('Cove trowel'), named: /\bcove trowel\b/i },
  { name: t('Labelled waste bag'), named: /\blabelled bag\b/i },
];

/** The tools and small things that the steps of a plan name, in the order in which they are first used. */
export const thingsOf = (steps: readonly Step[]): string[] => {
  const said = steps.map((s) =>
    [...warningsOf(s), ...sentencesOf(s)].map((message) => word(message)).join(' '),
  );
  const firstAt = ({ named }: Thing) => said.findIndex((text) => named.test(text));
  return THINGS.map((thing) => ({ thing, at: firstAt(thing) }))
    .filter(({ at }) => at >= 0)
    .sort((a, b) => a.at - b.at)
    .map(({ thing }) => thing.name);
};
