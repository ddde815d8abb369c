import { t } from '../text/text';
import { line } from '../calc/calc';
import type { Needed } from '../materials/milestones';
import type { Purpose } from '../materials/words';
import type { Message } from '../message/message';
import type { Round } from '../work/round';
import type { SecondNeed, Work } from '../work/work';
import { mixTouch } from './mix';

interface Film {
  id: string;
  purpose: Purpose;
  title: Message;
  areaMm2: number;
  /** Name of the step that applies it. */
  touch: string;
  wetted?: boolean;
  need?: Partial<SecondNeed>;
  /** Required dry film, µm: the wet film follows from the volume solids. Absent: by the card. */
  dftUm?: number;
  needed?: Needed | null;
  paths?: string[];
}

/** A thin film of a second material over an area: a conditioner, a sealer, a topcoat. Uses its volume solids. */
export function filmRound(work: Work, film: Film): Round {
  const second = work.second({
    purpose: film.purpose,
    wetted: film.wetted ?? false,
    ...film.need,
  });
  const { card } = second;
  const solids = card.layer.volumeSolidsPct / 100;
  const wetUm =
    film.dftUm === undefined ? (card.wetFilmUm ?? work.trade.film.usualWetUm) : film.dftUm / solids;
  const netMl = (film.areaMm2 * wetUm) / 1e6;
  return work.round({
    id: film.id,
    purpose: film.purpose,
    title: film.title,
    ...second,
    netMl,
    buildMm: (wetUm * solids) / 1000,
    paths: film.paths ?? work.bodies.flatMap((b) => b.body.paths),
    working: () => [
      line({
        symbol: 'A',
        label: t('area'),
        expression: t('by the survey'),
        value: film.areaMm2 / 1e6,
        unit: 'm²',
      }),
      line({
        symbol: 'WFT',
        label: t('wet film'),
        expression:
          film.dftUm === undefined ? t('as on the card') : t('dry film/{solids}', { solids }),
        value: wetUm,
        unit: 'µm',
        source: `card ${card.code}`,
      }),
      line({ symbol: 'V', label: t('film'), expression: 'A·WFT', value: netMl, unit: 'ml' }),
    ],
    touches: [mixTouch(card), { name: film.touch, placing: 1 }],
    needed: film.needed ?? null,
  });
}

/** Wet film of a thin round, µm. */
export const wetUmOf = (round: Round): number =>
  (round.buildMm * 1000) / (round.card.layer.volumeSolidsPct / 100);
