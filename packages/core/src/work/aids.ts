import { AID_NAMES, whyWithdrawn, type AidCard, type AidUse } from '../materials/card';
import { SUBSTRATE_NAMES } from '../materials/substrates';
import { m, type Message } from '../message/message';
import type { SurveyBase } from '../survey/common';
import type { Demand } from '../survey/demand';
import type { WorkContext } from './context';

/** Where an aid would be used, and which cards are available. */
export interface AidPlace {
  context: WorkContext;
  demand: Demand;
  survey: SurveyBase;
}

/** Why an aid must not be used here; null if it may. */
function stopOf(aid: AidCard, { demand, survey }: AidPlace): Message | null {
  const { code } = aid;
  const why = whyWithdrawn(aid);
  if (why !== null) return m('{code} is withdrawn: {why}.', { code, why });
  if (aid.flammable && demand.ignition)
    return m('{code} burns, and what could light it cannot be stopped.', { code });
  if (aid.flammable && survey.site.area === 'zone-1')
    return m('{code} burns, and this is zone 1.', { code });
  if (aid.notOn.includes(demand.material))
    return m('{code} may not touch {name}.', {
      code,
      name: SUBSTRATE_NAMES[demand.material].toLowerCase(),
    });
  return null;
}

const aidsFor = ({ context }: AidPlace, use: AidUse): AidCard[] =>
  (context.library ?? []).filter((c): c is AidCard => c.role === 'aid' && c.use === use);

/** The first aid for a use that may be used here; the first of all if none may; null if the library has none. */
export function aidFor(place: AidPlace, use: AidUse): AidCard | null {
  const aids = aidsFor(place, use);
  return aids.find((aid) => stopOf(aid, place) === null) ?? aids[0] ?? null;
}

/** Why none of the aids for a use may be used here; null if one may, or none is known. */
export function aidProblem(place: AidPlace, use: AidUse): Message | null {
  const stops = aidsFor(place, use).map((aid) => stopOf(aid, place));
  if (stops.length === 0 || stops.includes(null)) return null;
  return m('No {use} for here. {why}', { use: AID_NAMES[use].toLowerCase(), why: stops[0] ?? '' });
}

/** The name of an aid in a step: its code, or its purpose if none is available. */
export const aidName = (place: AidPlace, use: AidUse): string =>
  aidFor(place, use)?.code ?? AID_NAMES[use].toLowerCase();
