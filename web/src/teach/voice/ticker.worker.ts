/** Ticks also while the page is in the background, where the timers of a page are slowed down. */
setInterval(() => {
  postMessage(null);
}, 50);
