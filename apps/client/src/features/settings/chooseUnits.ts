import {
  draftFields,
  formOf,
  shownUnit,
  withUnits,
  withUnitsTyped,
  type SurveyDraft,
  type Typed,
  type UnitSystem,
} from '@kelmot/core';
import { calcByName } from '@kelmot/core/calculations/registry';
import { surveysReworded, type Drafts } from '@/store/drafts';
import { unitsChosen, type Settings } from '@/store/settings';
import { toolsReworded, type Tools } from '@/store/tools';
import type { Dispatch } from '@reduxjs/toolkit';

interface Typing {
  drafts: Drafts;
  tools: Tools;
  settings: Settings;
}

const each = <T>(typed: Record<string, T>, say: (key: string, one: T) => T): Record<string, T> =>
  Object.fromEntries(Object.entries(typed).map(([key, one]) => [key, say(key, one)]));

/** A survey draft whose bare figures get the unit that they were typed in. */
function surveySaid(draft: SurveyDraft, system: UnitSystem): SurveyDraft {
  const fields = new Map(draftFields(draft).map((f) => [f.path, f.field]));
  return withUnits(draft, (path) => {
    const field = fields.get(path);
    return field?.kind === 'quantity' ? shownUnit(field.quantity, system).symbol : '';
  });
}

function toolSaid(tool: string, typed: Typed, system: UnitSystem): Typed {
  const calc = calcByName.get(tool);
  return calc ? withUnitsTyped(formOf(calc), typed, system) : typed;
}

/** Changes the units. A bare “38” was typed in the old units: it gets its unit before the new ones apply. */
export const chooseUnits =
  (units: UnitSystem) =>
  (dispatch: Dispatch, getState: () => Typing): void => {
    const { drafts, tools, settings } = getState();
    if (settings.units === units) return;
    dispatch(
      surveysReworded(each(drafts.surveys, (_, draft) => surveySaid(draft, settings.units))),
    );
    dispatch(
      toolsReworded(each(tools.typed, (tool, typed) => toolSaid(tool, typed, settings.units))),
    );
    dispatch(unitsChosen(units));
  };
