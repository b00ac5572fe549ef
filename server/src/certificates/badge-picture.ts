import type { ClubLook } from '../club/look.service.js';
import type { Award } from './awards.service.js';
import { paperColours, paperGround, paperInk } from './paper-colours.js';

const escaped = (text: string): string =>
  text
    .replaceAll(/[&<>"']/g, (sign) => `&#${String(sign.charCodeAt(0))};`)
    .replaceAll(/[^\t\n\r\u{20}-\u{d7ff}\u{e000}-\u{fffd}\u{10000}-\u{10ffff}]/gu, '');

/** Words on at most two lines of so many letters. */
function twoLines(text: string, most: number): readonly string[] {
  if (text.length <= most) return [text];
  const middle = text.length / 2;
  const gaps = [...text.matchAll(/ /g)].map(({ index }) => index).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
  const [gap] = gaps;
  return gap === undefined ? [text] : [text.slice(0, gap), text.slice(gap + 1)];
}

const size = 480;

/**
 * A badge as a picture: the ladder in the club's colours, climbed up to the grade, with the crest, the grade and the club.
 * @param credential the signed badge, which is put into the picture as Open Badges 3.0 says (baked); null for the picture alone
 */
export function badgePicture(award: Award, look: ClubLook, credential: string | null): string {
  const { main, second, title } = paperColours(look);
  const rungs = Math.max(1, award.rungs);
  const [top, bottom] = [150, 430];
  const step = (bottom - top) / rungs;
  const bars = Array.from({ length: rungs }, (_, index) => {
    const y = bottom - (index + 0.5) * step;
    const isNewest = index + 1 === award.earned;
    const high = Math.min(step * 0.6, isNewest ? 22 : 12);
    const fill = isNewest ? main : index < award.earned ? second : '#ddd5c5';
    return `<rect x="62" y="${(y - high / 2).toFixed(1)}" width="76" height="${high.toFixed(1)}" rx="2" fill="${fill}"/>`;
  }).join('');
  const rail = (x: number): string =>
    `<rect x="${String(x)}" y="${String(top - 14)}" width="10" height="${String(bottom - top + 28)}" rx="5" fill="${paperInk}"/>`;
  const crest = look.crest
    ? `<image x="170" y="64" width="110" height="110" preserveAspectRatio="xMinYMid meet" href="data:image/png;base64,${look.crest.toString('base64')}"/>`
    : '';
  const lines = twoLines(award.gradeName, 14);
  const letters = Math.max(...lines.map((line) => line.length));
  const tall = Math.min(46, (size - 170 - 40) / (letters * 0.56));
  const text = (y: number, height: number, fill: string, weight: number, words: string): string =>
    `<text x="170" y="${y.toFixed(0)}" font-size="${height.toFixed(1)}" font-weight="${String(weight)}" fill="${fill}">${escaped(words)}</text>`;
  const small = (words: string): number => Math.min(21, (size - 170 - 40) / (words.length * 0.52));
  const y = 262;
  const below = y + (lines.length - 1) * tall * 1.1;
  const baked = credential === null ? '' : `<openbadges:credential verify="${escaped(credential)}"></openbadges:credential>`;
  return `<svg xmlns="http://www.w3.org/2000/svg"${credential === null ? '' : ' xmlns:openbadges="https://purl.imsglobal.org/ob/v3p0"'} viewBox="0 0 ${String(size)} ${String(size)}" width="${String(size)}" height="${String(size)}" role="img" aria-label="${escaped(`${award.gradeName}, ${award.clubName}`)}" font-family="'Atkinson Hyperlegible', Verdana, sans-serif">${baked}<rect x="6" y="6" width="${String(size - 12)}" height="${String(size - 12)}" rx="34" fill="${paperGround}" stroke="${main}" stroke-width="12"/>${bars}${rail(54)}${rail(136)}${crest}${lines.map((line, index) => text(y + index * tall * 1.1, tall, title, 700, line)).join('')}${text(below + 40, small(award.programmeName), paperInk, 400, award.programmeName)}${text(below + 70, small(award.clubName), paperInk, 400, award.clubName)}</svg>`;
}
