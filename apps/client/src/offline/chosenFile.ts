/** What an instrument or a spreadsheet saves a table as. */
export const TABLES = '.csv,.txt,text/csv,text/plain';

/** Asks for a file of a kind; null if none was chosen. `capture` opens the camera of a phone. */
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
