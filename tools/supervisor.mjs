// Keeps a process running: started again when it ends, and said each time; one that does not come up is given longer pauses, and
// given up in the end.
const firstPauseMilliseconds = 100;
const longestPauseMilliseconds = 2000;
const most = 60;

/**
 * @param what its name, as one reads it
 * @param start starts it, and calls what it is given when the process has ended
 * @param say told each time it ended and is started again
 * @param giveUp told when it ended again and again without ever having come up
 * @returns `cameUp`, to be called each time it does what it is there for: the next end is a first one again
 */
export function supervised({ what, start, say, giveUp }) {
  let isStopping = false;
  let pause = firstPauseMilliseconds;
  let ends = 0;
  let timer;
  function begin() {
    start(ended);
  }
  function ended(how) {
    if (isStopping) return;
    ends += 1;
    if (ends > most) {
      giveUp(`${what} ended ${String(ends)} times in a row without coming up (${how}). Nothing is lost; see above for why.`);
      return;
    }
    say(`${what} ended (${how}). Starting it again; nothing is lost.`);
    timer = setTimeout(begin, pause);
    pause = Math.min(longestPauseMilliseconds, pause * 2);
  }
  begin();
  return {
    cameUp: () => {
      pause = firstPauseMilliseconds;
      ends = 0;
    },
    stop: () => {
      isStopping = true;
      clearTimeout(timer);
    },
  };
}
