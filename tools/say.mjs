// What the tools tell the person at the terminal: one plain sentence each.

export function say(sentence) {
  console.log(sentence);
}

/** Ends the tool with one sentence; the exit code is never 0. */
export function giveUp(sentence) {
  console.error(sentence);
  process.exit(1);
}
