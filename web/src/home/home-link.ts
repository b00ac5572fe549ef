/** What a family's page knows of its link: it stands behind the # of the address, which no server and no log is told. */
const linkShape = /^[\w-]{43}$/;
const keptAs = 'leiter-home-link';

/** The link in the address, or the one that was opened here before: a page put on the home screen may lose what is behind the #. */
export function linkHere(): string | null {
  const inAddress = location.hash.slice(1);
  if (linkShape.test(inAddress)) {
    keep(inAddress);
    return inAddress;
  }
  try {
    const kept = localStorage.getItem(keptAs);
    return kept !== null && linkShape.test(kept) ? kept : null;
  } catch {
    return null;
  }
}

function keep(link: string): void {
  try {
    localStorage.setItem(keptAs, link);
  } catch {
    // a browser that keeps nothing: the address has it
  }
}
