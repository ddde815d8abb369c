import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { initSync, Model } from '@ironcalc/wasm';

type Value = number | string;

/** A sheet of one column: inputs and formulas in A1, A2 …, as a person would type them. */
export interface Sheet {
  cells: Value[];
  /** The cell (1-based) of the first result. */
  answer: number;
}

let loaded = false;
function load(): void {
  if (loaded) return;
  initSync({
    module: readFileSync(createRequire(import.meta.url).resolve('@ironcalc/wasm/wasm_bg.wasm')),
  });
  loaded = true;
}

/** Loads a sheet into a spreadsheet engine; each call recalculates all formulas and reads the answer. */
export function makeSheet({ cells, answer }: Sheet): () => number {
  load();
  const model = new Model('bench', 'en', 'UTC', 'en');
  cells.forEach((cell, i) => model.setUserInput(0, i + 1, 1, String(cell)));
  return () => {
    model.evaluate();
    return Number(model.getFormattedCellValue(0, answer, 1).replace(/,/g, ''));
  };
}
