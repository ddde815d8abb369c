import type { Card, SystemCard } from '@kelmot/core';
import { aidCards } from './aids';
import { rebuildCards } from './rebuild';
import { specialRebuildCards } from './rebuildSpecial';

export const systemCards: SystemCard[] = [...rebuildCards, ...specialRebuildCards];
export const demoCards: Card[] = [...systemCards, ...aidCards];
