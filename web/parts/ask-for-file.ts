/** Asks somebody for a file of theirs; nothing where they change their mind. */
export function askForFile(accept: string, take: (file: File) => void): void {
  askForFiles(accept, ([file]) => file && take(file), false);
}

/** The same of several. */
export function askForFiles(
  accept: string,
  take: (files: readonly File[]) => void,
  multiple = true,
): void {
  // The field is made when it is needed: while somebody chooses, whoever asked may have gone back to rest.
  const field = document.createElement('input');
  field.type = 'file';
  field.accept = accept;
  field.multiple = multiple;
  field.addEventListener('change', () => {
    const chosen = [...(field.files ?? [])];
    if (chosen.length > 0) take(chosen);
  });
  field.click();
}
