import { GRADE_NAMES, prepKindOf, TOOL_NAMES, TOOL_REACH } from '../materials/substrates';
import { PERMISSION_NAMES, type OldRepair, type Permission } from '../materials/words';
import { celsius, joined, m, mm, q, type Message } from '../message/message';
import type { StepDraft } from '../work/step';
import { aidName, type Need } from '../work/supplies';
import { toolUsed, type Work } from '../work/work';
import { flashMinutes, gradeMinutes, wipeMinutes } from './pace';
import { step, wrong, type More } from './step';

/** Steps of Prep that families share. What is special to a family is said in `extra`. */

type Extra = More & { extra?: Message | false };
const withExtra = (text: Message, extra?: Message | false): Message =>
  extra ? joined([text, extra]) : text;

/** Any work in Prep of a step’s own name. */
const prep = (
  name: Parameters<typeof step>[0],
  does: StepDraft['does'],
  title: string | Message,
  minutes: number,
  text: () => Message,
  { extra, ...more }: Extra = {},
): StepDraft => step(name, 'prep', does, title, minutes, () => withExtra(text(), extra), more);

/** Who must approve before anything is done that cannot be undone, by name. */
export const approval = (who: Permission, what: Message): StepDraft =>
  step(
    'approval',
    'prep',
    'approve',
    PERMISSION_NAMES[who] ? m('{who} approves', { who: PERMISSION_NAMES[who] }) : m('Approval'),
    0,
    () => joined([what, m('Not before it is signed by name.')]),
    {
      hold: { kind: 'approval', who },
    },
  );

/** Makes it safe: energy, pressure, permits. */
export const isolate = (work: Work, more?: Extra): StepDraft =>
  prep(
    'isolate',
    'safe',
    'Isolate and make safe',
    20,
    () =>
      m(
        'Lock off and tag {tag}. Prove no pressure and no stored energy. Permits where your site asks.',
        { tag: work.survey.asset.tag },
      ),
    more,
  );

/** Nothing beside it is spoilt; it is photographed with a rule, and marked round. */
export const protect = (more?: Extra): StepDraft =>
  prep(
    'protect',
    'protect',
    'Protect what is beside it',
    10,
    () =>
      m(
        'Cover what is beside and below it. Close the area. Photograph the damage with a rule beside it, and mark round it so that the cleaned edge shows.',
      ),
    { hold: { kind: 'photo', label: m('The damage, with a rule') }, ...more },
  );

const OFF: Record<
  Exclude<OldRepair, 'none'>,
  { text: string; minutes: number; does: StepDraft['does']; sparks: boolean }
> = {
  paste: {
    text: 'Grind or chisel the old paste off to the parent; what is left under lets go.',
    minutes: 30,
    does: 'strip',
    sparks: true,
  },
  wrap: {
    text: 'Saw two lines opposite each other, not into the pipe. Chisel along them, prise the halves off.',
    minutes: 35,
    does: 'strip',
    sparks: true,
  },
  rubber: {
    text: 'Cut round it, peel it back hard and slow, grind off the last cement.',
    minutes: 25,
    does: 'strip',
    sparks: false,
  },
  mortar: {
    text: 'Break it out to sound, square at the edges. Wet, or with extraction.',
    minutes: 45,
    does: 'strip',
    sparks: true,
  },
  sealant: {
    text: 'Cut both sides, pull it out whole, grind the walls: they are the bond.',
    minutes: 25,
    does: 'strip',
    sparks: false,
  },
  film: {
    text: 'Strip it past the damage; a glossy coat is not a substrate.',
    minutes: 20,
    does: 'strip',
    sparks: false,
  },
  clamp: {
    text: 'Take it off with the line proved empty; dress weld and rust back to the parent.',
    minutes: 30,
    does: 'strip',
    sparks: true,
  },
};

const inZone = ({ survey }: Pick<Work, 'survey'>) => survey.site.area !== 'safe';
/** Said wherever a tool bites in a classified area. */
const NO_SPARK = m('Non-sparking tools only: bronze chisel, hand file, air saw kept wet.');

/** Takes the old repair off, where there is one. Look how it failed first. */
export function removeOld(work: Work): StepDraft[] {
  const { old } = work.survey.past;
  if (old === 'none') return [];
  const off = OFF[old];
  return [
    prep(
      'remove-old',
      off.does,
      'Take the old repair off',
      off.minutes,
      () => m(`${off.text} Note how it failed.`),
      {
        hold: { kind: 'photo', label: m('How the old repair failed') },
        sparks: off.sparks && !inZone(work),
        extra: off.sparks && inZone(work) && NO_SPARK,
      },
    ),
  ];
}

/** Grease off before anything is abraded. */
export const degrease = (work: Work, more?: Extra): StepDraft =>
  prep(
    'degrease',
    'wet',
    'Degrease',
    wipeMinutes(work),
    () =>
      m(
        'New gloves. Degrease with {aid}, well past the damage, from clean to dirty, before any abrading. Rinse, dry.',
        { aid: aidName(work, 'degreaser') },
      ),
    {
      wrong: [wrong('Water beads on it', 'Degrease again, with fresh rags.')],
      uses: ['degreaser'],
      figures: ['supply.degreaser'],
      ...more,
    },
  );
export const degreaserNeed = (work: Work, what: Message): Need => ({
  kind: 'aid',
  use: 'degreaser',
  for: what,
  areaMm2: work.demand.prepMm2,
});

/** The grade of the card, the tool that is used, how far, and the profile as a reading. */
export function gradeStep(work: Work, extentMm: number, more?: Extra): StepDraft {
  const { grade, profileUm } = work;
  const kind = prepKindOf(work.demand.material);
  const tool = toolUsed(work);
  return prep(
    'grade',
    'abrade',
    grade ? m('Prepare to {grade}', { grade }) : 'Prepare the surface',
    gradeMinutes(work),
    () =>
      joined([
        grade && m('{grade}: {what}.', { grade, what: GRADE_NAMES[grade] }),
        extentMm > 0
          ? m('{tool}, {extent} past the damage each way.', {
              tool: TOOL_NAMES[tool],
              extent: mm(extentMm),
            })
          : m('{tool}.', { tool: TOOL_NAMES[tool] }),
        profileUm &&
          m('Profile {min} to {max}, peak to valley.', {
            min: q(profileUm.min, 'thinFilm'),
            max: q(profileUm.max, 'thinFilm'),
          }),
        kind === 'concrete' && m('Wet, or with extraction, and a P3 mask: the dust is silica.'),
        inZone(work) && NO_SPARK,
      ]),
    {
      hold: profileUm
        ? {
            kind: 'reading',
            label: m('Profile Rz'),
            quantity: 'thinFilm',
            min: profileUm.min,
            max: profileUm.max,
          }
        : { kind: 'check' },
      sparks: TOOL_REACH[tool].sparks && (kind === 'metal' || kind === 'concrete'),
      figures: [
        ...(profileUm ? ['profile'] : []),
        ...(extentMm === work.site.extentMm ? ['extent'] : []),
      ],
      wrong:
        kind === 'metal'
          ? [
              wrong('Profile too low', 'Sharper or coarser grit; polished metal does not hold.'),
              wrong('Rust bloom before mixing', 'Clean again. Bare metal waits hours, not days.'),
            ]
          : [wrong('Shiny places left', 'Go over them again: matt all over.')],
      ...more,
    },
  );
}

/** Dust off after abrading: dust is a release agent. */
export const dustOff = (
  text = 'Vacuum, then brush, then oil-free air. Dust is a release agent.',
  more?: Extra,
): StepDraft => prep('dust-off', 'dust-off', 'Dust off', 5, () => m(text), more);

/** Ends of a crack drilled, or it runs on. */
export const drillEnds = (count: number, sparks: boolean): StepDraft =>
  prep(
    'drill-ends',
    'open-up',
    'Drill the ends',
    4 * count,
    () =>
      m(
        'A {d} hole at each end of {n, plural, one {the crack} other {each of the # cracks}}, or it runs on.',
        {
          d: mm(3),
          n: count,
        },
      ),
    { sparks },
  );

/** Oil and salt out of a casting that drank them: heat, wipe, clean again. */
export const sweat = (): StepDraft =>
  prep(
    'sweat',
    'wet',
    'Sweat the casting',
    90,
    () =>
      m(
        'Warm the casting slowly until oil and salt sweat out, wipe, let it cool, degrease again. Repeat until nothing comes; watch for bleeding.',
      ),
    { wrong: [wrong('Dark patches come back', 'Warm and clean once more before going on.')] },
  );

/** Tape where it must end. */
export const mask = (extentMm: number, more?: Extra): StepDraft =>
  prep(
    'mask',
    'mask',
    'Mask',
    10,
    () => m('Mask {extent} out, pressed tight, with a pull tab.', { extent: mm(extentMm) }),
    more,
  );

/** Release on every part that must come off, and its time to dry. */
export const release = (work: Work, parts: Message, more?: Extra): StepDraft[] => [
  prep(
    'release',
    'release',
    'Release agent',
    15,
    () =>
      m('{aid} on {parts}: two thin coats. None on the repair surface; change gloves after.', {
        aid: aidName(work, 'release'),
        parts,
      }),
    {
      wrong: [
        wrong('Release on the repair surface', 'Wipe it off with solvent, prepare it again.'),
      ],
      uses: ['release'],
      figures: ['supply.release'],
      ...more,
    },
  ),
  prep(
    'release-dry',
    'wait',
    'Let the release dry',
    0,
    () => m('Dry to the touch, or it prints through.'),
    {
      hold: {
        kind: 'countdown',
        label: m('Release drying'),
        minutes: flashMinutes(work, 'release'),
      },
    },
  ),
];

/** Last wipe, clean gloves: nothing is abraded after it. */
export const wipe = (work: Work, more?: Extra): StepDraft =>
  prep(
    'wipe',
    'wipe',
    'Last wipe, new gloves',
    10,
    () =>
      m(
        'Wipe with {aid} on a lint-free cloth, one way, and let it flash off for {flash}. From here no bare hand touches it.',
        { aid: aidName(work, 'wipe'), flash: q(flashMinutes(work, 'wipe'), 'time') },
      ),
    { uses: ['wipe'], figures: ['supply.wipe'], ...more },
  );
export const wipeNeed = (work: Work, what: Message): Need => ({
  kind: 'aid',
  use: 'wipe',
  for: what,
  areaMm2: work.demand.prepMm2,
});

/** Sets in the wet: no dew point, and no rain, stands against it. */
export const setsWet = ({ card }: Pick<Work, 'card'>): boolean =>
  card.damp === 'wet' || card.damp === 'under-water';

/** What is held warm or dry, before the gate; nothing where it is as it is. */
export function heldSteps(work: Work): StepDraft[] {
  const { heldC, card, gate } = work;
  const dry = gate.reasons.includes('humidity');
  return [
    ...(heldC === null
      ? []
      : [
          prep(
            'heat',
            'heat',
            m('Hold it at {temp}', { temp: celsius(heldC) }),
            30,
            () =>
              m(
                'Tent and heater: bring the surface to {temp} and hold it there to the end of the cure. No naked flame, no exhaust gas on the surface.',
                { temp: celsius(heldC) },
              ),
            {
              hold: {
                kind: 'reading',
                label: m('Surface, held'),
                quantity: 'temperature',
                min: heldC,
                max: card.ambient.maxSurfaceC,
              },
              uses: ['heater'],
              figures: ['cost.heat'],
            },
          ),
        ]),
    ...(dry
      ? [
          prep(
            'dry-air',
            'heat',
            'Dry the air',
            30,
            () =>
              m(
                'Tent and dryer: bring the air to {rh} or less, and keep it there until it is tack-free.',
                {
                  rh: q(card.ambient.maxRhPct, 'percent'),
                },
              ),
            {
              hold: {
                kind: 'reading',
                label: m('Humidity'),
                quantity: 'percent',
                min: null,
                max: card.ambient.maxRhPct,
              },
            },
          ),
        ]
      : []),
    ...(work.demand.closed && (card.flammable || card.ventilate)
      ? [
          prep('ventilate', 'safe', 'Blow air through', 10, () =>
            m(
              'Fresh air blown in at the bottom, out at the top, its exit watched; gas test before anybody goes in.',
            ),
          ),
        ]
      : []),
  ];
}
export const heldNeeds = ({ heldC }: Work): Need[] =>
  heldC === null
    ? []
    : [
        {
          kind: 'plain',
          id: 'heater',
          name: 'Tent and heater',
          for: m('holding {temp}', { temp: celsius(heldC) }),
          amount: 1,
          quantity: 'count',
        },
      ];

/** The ambient gate: stops the job before anything is opened. What sets wet asks only for warmth. */
export const gate = (work: Work, more?: Extra): StepDraft => {
  const { minAboveDewC, minSurfaceC, maxSurfaceC, maxRhPct } = work.card.ambient;
  if (setsWet(work))
    return prep(
      'water-temp',
      'gate',
      'Temperature where it sets',
      5,
      () =>
        m('Measure where it sets, in the water if it is under it: {min} to {max}.', {
          min: celsius(minSurfaceC),
          max: celsius(maxSurfaceC),
        }),
      {
        hold: {
          kind: 'reading',
          label: m('Where it sets'),
          quantity: 'temperature',
          min: minSurfaceC,
          max: maxSurfaceC,
        },
        ...more,
      },
    );
  return prep(
    'gate',
    'gate',
    'Dew point gate',
    5,
    () =>
      m(
        'Measure air, humidity and surface at the repair. Surface {above} above dew point or more, {min} to {max}, humidity {rh} or less.',
        {
          above: q(minAboveDewC, 'temperatureStep'),
          min: celsius(minSurfaceC),
          max: celsius(maxSurfaceC),
          rh: q(maxRhPct, 'percent'),
        },
      ),
    {
      hold: { kind: 'ambient' },
      figures: ['dewPoint', 'margin'],
      wrong: [wrong('Stop', 'Warm the surface or dry the air, then measure again. Do not mix.')],
      ...more,
    },
  );
};

/** Everything between the last wipe and the first mix: what is held, then the gate. */
export const beforeMixing = (work: Work): StepDraft[] => [...heldSteps(work), gate(work)];
