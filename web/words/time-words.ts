/** An instant as people read it, told as what it is: in UTC, since who reads a history may be anywhere. */
export function utcWords(instant: string): string {
  const date = new Date(instant);
  if (Number.isNaN(date.getTime())) return instant;
  return `${DAY.format(date)} UTC`;
}

const DAY = new Intl.DateTimeFormat('en-GB', {
  dateStyle: 'long',
  timeStyle: 'short',
  timeZone: 'UTC',
});
