/** Asks somebody for a file of theirs; nothing where they change their mind. */
export function askForFile(accept: string, take: (file: File) => void): void {
  // The field is made when it is needed: while somebody chooses, whoever asked may have gone back to rest.
  const field = document.createElement('input');
  field.type = 'file';
  field.accept = accept;
  field.addEventListener('change', () => {
    const chosen = field.files?.[0];
    if (chosen) take(chosen);
  });
  field.click();
}
