import type { StationId } from '@kelmot/core';
import type { ComponentType } from 'react';
import { Accept, AcceptAction } from './Accept';
import { Build, BuildAction } from './Build';
import { Cure } from './Cure';
import { Mix, MixAction } from './Mix';
import { Prep } from './Prep';
import { MoveOn } from './StepsStation';
import type { StationProps } from '@/shared/repair/stationProps';

interface StationScreen {
  body: ComponentType<StationProps>;
  action: ComponentType<StationProps>;
}

/** The five stations that work from a plan. They read its data, so that a new family changes none of them. */
export const stationScreens: Record<Exclude<StationId, 'survey' | 'match'>, StationScreen> = {
  prep: { body: Prep, action: (p) => <MoveOn {...p} next="mix" /> },
  mix: { body: Mix, action: MixAction },
  build: { body: Build, action: BuildAction },
  cure: { body: Cure, action: (p) => <MoveOn {...p} next="accept" /> },
  accept: { body: Accept, action: AcceptAction },
};
