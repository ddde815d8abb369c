import { t } from '../text/text';
import { line } from '../calc/calc';
import type { Needed } from '../materials/milestones';
import type { Purpose } from '../materials/words';
import type { Message } from '../message/message';
import type { Round } from '../work/round';
import type { SecondNeed, Work } from '../work/work';
import { mixTouch } from './mix';

/** Wet film of a card that states none, µm. */
const USUAL_WET_UM = 200;

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
  const wetUm = film.dftUm === undefined ? (card.wetFilmUm ?? USUAL_WET_UM) : film.dftUm / solids;
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
      line('A', t('area'), t('by the survey'), film.areaMm2 / 1e6, 'm²'),
      line(
        'WFT',
        t('wet film'),
        film.dftUm === undefined ? t('as on the card') : t('dry film/{solids}', { solids }),
        wetUm,
        'µm',
        `card ${card.code}`,
      ),
      line('V', t('film'), 'A·WFT', netMl, 'ml'),
    ],
    touches: [mixTouch(card), { name: film.touch, placing: 1 }],
    needed: film.needed ?? null,
  });
}

/** Wet film of a thin round, µm. */
export const wetUmOf = (round: Round): number =>
  (round.buildMm * 1000) / (round.card.layer.volumeSolidsPct / 100);
