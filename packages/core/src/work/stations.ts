import { t } from '../text/text';
import { z } from 'zod';

/** The stations of a job, in order. */
export const STATIONS = ['survey', 'match', 'prep', 'mix', 'build', 'cure', 'accept'] as const;
export const StationId = z.enum(STATIONS);
export type StationId = z.infer<typeof StationId>;
export const STATION_NAMES: Record<StationId, string> = {
  survey: t('Survey'),
  match: t('Match'),
  prep: t('Prep'),
  mix: t('Mix'),
  build: t('Build'),
  cure: t('Cure'),
  accept: t('Accept'),
};
