/** What the commands print: one line for each thing they do, errors with what to do about them. */

export function say(line) {
  process.stdout.write(line + '\n');
}

/** An error whose message is meant for the person who gave the command. */
export class Trouble extends Error {}

/** Prints why a command cannot go on and ends it. */
export function giveUp(error) {
  if (error instanceof Trouble) process.stderr.write('\n' + error.message + '\n');
  else process.stderr.write('\n' + (error?.stack ?? String(error)) + '\n');
  process.exit(1);
}
