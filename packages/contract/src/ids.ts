import { Moment } from '@kelmot/core';
import { z } from 'zod';

/** The client makes ids, so that a write can be sent twice with one effect. Version 7 sorts by time. */
export const Id = z.uuid();
export const Instant = Moment;
export const Version = z.int().min(1);
