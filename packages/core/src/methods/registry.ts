import type { FamilyId } from '../survey/survey';
import { flangeMethod } from './f1';
import { yardCrackMethod } from './f10';
import { wallCrackMethod } from './f11';
import { tankMethod } from './f12';
import { sumpMethod } from './f13';
import { panelMethod } from './f14';
import { boardMethod } from './f15';
import { mattingMethod } from './f16';
import { rebuildMethod } from './f2';
import { bracketMethod } from './f3';
import { pipeLeakMethod } from './f4';
import { pipeWrapMethod } from './f5';
import { beltMethod } from './f6';
import { tyreMethod } from './f7';
import { floorCrackMethod } from './f8';
import { floorPatchMethod } from './f9';
import type { Method } from './method';

const methods: Record<FamilyId, Method> = {
  F1: flangeMethod,
  F2: rebuildMethod,
  F3: bracketMethod,
  F4: pipeLeakMethod,
  F5: pipeWrapMethod,
  F6: beltMethod,
  F7: tyreMethod,
  F8: floorCrackMethod,
  F9: floorPatchMethod,
  F10: yardCrackMethod,
  F11: wallCrackMethod,
  F12: tankMethod,
  F13: sumpMethod,
  F14: panelMethod,
  F15: boardMethod,
  F16: mattingMethod,
};

/** How a family is done. */
export const methodOf = (family: FamilyId): Method => methods[family];
