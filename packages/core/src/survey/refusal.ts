import type { Permission } from '../materials/words';
import type { Message } from '../message/message';

/** Why a family's own route is not for this damage, and who decides instead. */
export interface RefusalReason {
  id: string;
  because: Message;
  who: Permission;
}

/** What somebody must see to or allow before a family’s route is taken, whatever the card. */
export interface RouteCondition {
  id: string;
  /** As it follows "fits if". */
  condition: Message;
  because: Message;
  who?: Permission;
}
