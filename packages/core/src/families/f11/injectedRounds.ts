import type { Worked } from '../../calc/calc';
import { injection, type Injection } from '../../cracks/injection';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { W } from './common';

/** The injection of each crack. Both faces are sealed where both are accessible. */
const layouts = ({ survey, card }: W): Worked<Injection>[] => {
  const how = card.injection;
  if (!how) return [];
  return survey.damages.map((d) =>
    injection({
      crackLengthMm: d.lengthMm,
      wallMm: d.wallMm,
      maxSpacingMm: how.maxSpacingMm,
      crackWidthMm: d.widthMm,
      sealWidthMm: how.sealWidthMm,
      sealThickMm: how.sealThickMm,
      sealFaces: d.shape === 'through' ? 2 : 1,
      lossPct: 0,
      expansion: how.expansion,
      minutesPerPort: how.minutesPerPort,
    }),
  );
};

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function injectedRoundsOf(work: W) {
  const { survey, demand, card } = work;
  const all = layouts(work);
  const total = (of: (i: Injection) => number) => all.reduce((s, i) => s + of(i), 0);
  const ports = total((i) => i.ports);
  const atPorts = total((i) => i.minutes);
  const spacing = Math.min(...all.map((i) => i.spacingMm));
  const how = card.injection;
  const both = survey.damages.some((d) => d.shape === 'through');
  const second = work.second({ purpose: 'port-paste', wetted: false, damp: 'damp' });
  const paste = work.round({
    id: 'paste',
    purpose: 'port-paste',
    title: m('Ports and paste'),
    ...second,
    netMl: total((i) => i.sealMl) + ports * work.trade.basin.footMl,
    buildMm: how?.sealThickMm ?? 4,
    paths: work.bodies.flatMap((b) => b.body.paths),
    working: () => all.flatMap((i) => i.working),
    touches: [
      mixTouch(second.card),
      { name: 'ports', spread: ports * work.trade.basin.portMin },
      { name: 'band', placing: 1 },
    ],
    needed: null,
  });
  const resinMl = total((i) => i.resinMl);
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'resin',
      title: m('Resin'),
      netMl: resinMl,
      areaMm2: 0,
      working: () => all.flatMap((i) => i.working),
      // At the ports the card's pouring rate does not count, but the minutes at each port.
      touches: [mixTouch(card), { name: 'inject', spread: atPorts }],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return {
    work,
    how,
    ports,
    spacing,
    paste,
    both,
    main,
    atPorts,
    ready,
    all,
    resinMl,
    rounds: [paste, main],
  };
}
export type InjectedRounds = ReturnType<typeof injectedRoundsOf>;
