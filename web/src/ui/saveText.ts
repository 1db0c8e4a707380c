/** Saves a table in CSV as a file of this name. */
export const saveText = (fileName: string, text: string): void =>
  saveFile(fileName, new Blob([text], { type: 'text/csv;charset=utf-8' }));

/** Saves what is there already as a file. */
export function saveFile(fileName: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(url);
}
