import type { ComponentType } from 'react';
import { BoltStar } from './BoltStar';
import { ExothermChart, ReadinessChart } from './Charts';
import { GritLadder } from './GritLadder';
import { PlyRuler } from './PlyRuler';
import { PortLayout } from './PortLayout';
import type { PictureProps } from './props';
import { RatioCheck, RatioScale } from './Ratio';
import { DewDial, GateDial } from './TempDial';
import { WrapLayPicture } from './WrapLay';

/** Tools with a picture. The others show figures only. */
export const pictures: Readonly<Record<string, ComponentType<PictureProps>>> = {
  'dew-point': DewDial,
  'ambient-gate': GateDial,
  exotherm: ExothermChart,
  readiness: ReadinessChart,
  'mix-split': RatioScale,
  'mix-check': RatioCheck,
  'bolt-sequence': BoltStar,
  'wrap-lay': WrapLayPicture,
  'wrap-design': PlyRuler,
  injection: PortLayout,
  'grit-ladder': GritLadder,
};
