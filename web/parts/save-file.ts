/** Gives somebody a file to keep, under a name. */
export function saveFile(name: string, content: string | Blob, mediaType: string): void {
  const file = typeof content === 'string' ? new Blob([content], { type: mediaType }) : content;
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
