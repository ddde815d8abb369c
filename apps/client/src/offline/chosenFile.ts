/** File types of tables that instruments and spreadsheets save. */
export const TABLES = '.csv,.txt,text/csv,text/plain';

/** Asks for a file of a type; null if none was chosen. `capture` opens a phone's camera. */
export function chosenFile(accept: string, capture = false): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    if (capture) input.setAttribute('capture', 'environment');
    input.onchange = () => resolve(input.files?.[0] ?? null);
    input.oncancel = () => resolve(null);
    input.click();
  });
}
