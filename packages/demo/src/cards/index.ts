import type { Card, SystemCard } from '@kelmot/core';
import { aidCards } from './aids';
import { crackCards } from './cracks';
import { floorCards } from './floors';
import { primerCards } from './primers';
import { puttyCards } from './putties';
import { rebuildCards } from './rebuild';
import { specialRebuildCards } from './rebuildSpecial';
import { rubberCards } from './rubbers';
import { specialCards } from './specials';
import { wrapCards } from './wraps';

export const systemCards: SystemCard[] = [
  ...rebuildCards,
  ...specialRebuildCards,
  ...puttyCards,
  ...wrapCards,
  ...rubberCards,
  ...primerCards,
  ...crackCards,
  ...floorCards,
  ...specialCards,
];
export const demoCards: Card[] = [...systemCards, ...aidCards];
