import { clearanceBuild } from '../../geometry/clearanceBuild';
import { m } from '../../message/message';
import { coatRounds, mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { Work } from '../../work/work';
import type { BracketSurvey } from './survey';

export type W = Work<BracketSurvey>;

export const envelope = ({ survey, site }: W) =>
  clearanceBuild({
    stations: survey.damages.map((d, i) => ({
      name: `Place ${i + 1}`,
      clearanceMm: survey.load.clearanceMm,
      marginMm: site.clearanceMarginMm,
      wantedMm: d.shape === 'chip' ? d.depthMm : d.buildMm,
    })),
  });
const breaks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'snapped');
/** Whether the material is kneaded by hand and pressed in: then it needs no wetting coat. */
export const putty = ({ card }: W) => card.mix.kind === 'single' || card.helps.includes('plug');

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function roundsOf(work: W) {
  const { survey, site, demand, card } = work;
  const snapped = breaks(work);
  const lengthMm = snapped.reduce((s, d) => s + d.lengthMm, 0);
  const second = snapped.length > 0 ? work.second({ purpose: 'tack', wetted: false }) : null;
  const tack = second
    ? work.round({
        id: 'tack',
        purpose: 'tack',
        title: m('Tack'),
        ...second,
        netMl: (lengthMm * work.trade.casting.beadMm2) / 1000,
        buildMm: 1,
        paths: ['damages.0.lengthMm'],
        touches: [mixTouch(second.card), { name: 'tack', placing: 1 }],
        needed: null,
      })
    : null;
  const wetting = putty(work)
    ? null
    : work.round(
        mainSpec(work, {
          id: 'wet',
          purpose: 'wet-coat',
          title: m('Wetting coat'),
          netMl: (work.areaMm2 * work.trade.casting.wetMm) / 1000,
          buildMm: work.trade.casting.wetMm,
          working: undefined,
          touches: [mixTouch(card), { name: 'wet', placing: 1 }],
          needed: null,
        }),
      );
  const coats = coatRounds(work, { areaMm2: 0 });
  const last = coats[coats.length - 1] as (typeof coats)[number];
  const ready = [notBefore(last, demand.needed)];
  const { stations } = envelope(work);
  const reduced = stations.filter((s) => s.verdict !== 'ok');
  return {
    work,
    survey,
    site,
    snapped,
    reduced,
    tack,
    wetting,
    coats,
    last,
    ready,
    rounds: [...(tack ? [tack] : []), ...(wetting ? [wetting] : []), ...coats],
  };
}
export type Rounds = ReturnType<typeof roundsOf>;
