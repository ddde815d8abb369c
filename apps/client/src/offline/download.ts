/** Saves bytes or text as a file on the device. */
export function download(name: string, content: string | Uint8Array, type: string): void {
  const part = typeof content === 'string' ? content : new Uint8Array(content);
  const url = URL.createObjectURL(new Blob([part], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
