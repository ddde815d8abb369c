import type { Permission } from '../materials/words';
import type { Message } from '../message/message';

/** Why a family's method is not for this damage, and who decides instead. */
export interface RefusalReason {
  id: string;
  because: Message;
  who: Permission;
}

/** What somebody must do or approve before a family’s method is used, whatever the card. */
export interface RouteCondition {
  id: string;
  /** Completes the sentence "fits if …". */
  condition: Message;
  because: Message;
  who?: Permission;
  /** Steps of the family that meet it: a job with all of them has no separate tick for it. */
  steps?: readonly string[];
}
