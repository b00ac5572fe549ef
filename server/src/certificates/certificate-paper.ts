import type { ClubLook } from '../club/look.service.js';
import { paperColours, paperGround as paper, paperInk as ink, type PaperColours } from './paper-colours.js';

/** A certificate as it is printed, one landscape page each. */
export interface Certificate {
  readonly clubName: string;
  readonly childName: string;
  /** `has earned the grade`, `took part in`. */
  readonly says: string;
  /** The grade, or the class. */
  readonly title: string;
  /** Programme, and the day in words. */
  readonly about: string;
  /** What was shown; nothing for taking part. */
  readonly shown: readonly string[];
  readonly signedBy: string | null;
  /** The rungs of the ladder from the lowest. */
  readonly ladder: { readonly rungs: number; readonly earned: number };
  /** The address at which it can be verified, printed as a code; null where there is none. */
  readonly verifiedAt: string | null;
}

/** The club's, drawn once for all pages. */
interface Look {
  readonly colours: PaperColours;
  readonly hasCrest: boolean;
}

const soft = '#5A6468';
const line = '#DDD5C5';
/** A4, landscape, in points. */
const page = { width: 841.89, height: 595.28 } as const;
const left = 236;
const crestSize = 96;
const wide = page.width - left - 70;

/** A name or a title as large as it can be on one line. */
const sizeFor = (text: string, most: number, room = wide): number => Math.max(16, Math.min(most, (room * 1.75) / Math.max(1, text.length)));

/** The ladder at the side: what was climbed is filled, the newest rung is the widest. */
function ladderPicture({ rungs, earned }: Certificate['ladder'], { main, second }: PaperColours): string {
  const [top, bottom] = [70, page.height - 60];
  const step = (bottom - top - 40) / Math.max(1, rungs);
  const bars = Array.from({ length: rungs }, (_, index) => {
    const y = bottom - 20 - (index + 1) * step + step / 2;
    const [colour, height] = index + 1 === earned ? [main, 13] : [index < earned ? second : line, 8];
    return `<rect x="84" y="${(y - height / 2).toFixed(1)}" width="80" height="${String(height)}" fill="${colour}"/>`;
  });
  const rail = (x: number): string =>
    `<rect x="${String(x)}" y="${String(top)}" width="9" height="${String(bottom - top)}" rx="4" fill="${ink}"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${String(page.width)} ${String(page.height)}">${bars.join('')}${rail(75)}${rail(164)}</svg>`;
}

const frame = ({ main, second }: PaperColours): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${String(page.width)} ${String(page.height)}"><rect x="0" y="0" width="${String(page.width)}" height="${String(page.height)}" fill="${paper}"/><rect x="26" y="26" width="${String(page.width - 52)}" height="${String(page.height - 52)}" fill="none" stroke="${line}" stroke-width="1.5"/><rect x="26" y="26" width="${String(page.width - 52)}" height="7" fill="${main}"/><rect x="26" y="${String(page.height - 33)}" width="${String(page.width - 52)}" height="7" fill="${second}"/></svg>`;

const whole = (svg: string): object => ({ svg, width: page.width, height: page.height, absolutePosition: { x: 0, y: 0 } });

/** The two lines on which it is signed. */
function signatures({ signedBy, clubName }: Certificate): readonly object[] {
  const y = page.height - 92;
  const place = (x: number, under: string): readonly object[] => [
    { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 200, y2: 0, lineWidth: 0.8, lineColor: ink }], absolutePosition: { x, y } },
    { text: under, fontSize: 10, color: soft, absolutePosition: { x, y: y + 6 } },
  ];
  return [...place(left, signedBy ?? ''), ...place(left + 232, `for ${clubName}`)];
}

/** In points; a dot of the code is two of them. */
const codeSize = 80;

/** Leads to what the club says of this grade; a telephone reads it. */
function verification(address: string): readonly object[] {
  const [x, y] = [page.width - 70 - codeSize, page.height - 60 - codeSize];
  return [
    { qr: address, fit: codeSize, eccLevel: 'L', foreground: ink, background: paper, absolutePosition: { x, y } },
    { text: 'Is it genuine?', fontSize: 8, color: soft, absolutePosition: { x, y: y - 12 } },
  ];
}

function content(certificate: Certificate, index: number, { colours, hasCrest }: Look): readonly object[] {
  const { clubName, childName, says, title, about, shown, ladder, verifiedAt } = certificate;
  const half = Math.ceil(shown.length / 2);
  const list = (some: readonly string[]): object => ({
    ul: some,
    fontSize: shown.length > 12 ? 9 : 11,
    lineHeight: 1.25,
    markerColor: colours.main,
  });
  return [
    { ...whole(frame(colours)), ...(index > 0 ? { pageBreak: 'before' } : {}) },
    whole(ladderPicture(ladder, colours)),
    ...(hasCrest ? [{ image: 'crest', fit: [crestSize, crestSize], absolutePosition: { x: page.width - 70 - crestSize, y: 58 } }] : []),
    ...(verifiedAt === null ? [] : verification(verifiedAt)),
    {
      absolutePosition: { x: left, y: 74 },
      stack: [
        { text: clubName, font: 'heading', fontSize: 15, color: soft },
        {
          text: childName,
          font: 'heading',
          bold: true,
          fontSize: sizeFor(childName, 44, hasCrest ? wide - crestSize - 14 : wide),
          color: ink,
          margin: [0, 22, 0, 0],
        },
        { text: says, fontSize: 15, color: soft, margin: [0, 8, 0, 0] },
        { text: title, font: 'heading', bold: true, fontSize: sizeFor(title, 36), color: colours.title, margin: [0, 4, 0, 0] },
        { text: about, fontSize: 13, color: ink, margin: [0, 6, 0, 0] },
      ],
    },
    ...(shown.length > 0
      ? [
          { text: 'What was shown', font: 'heading', fontSize: 13, absolutePosition: { x: left, y: 290 } },
          { columns: [list(shown.slice(0, half)), list(shown.slice(half))], columnGap: 18, absolutePosition: { x: left, y: 312 } },
        ]
      : []),
    ...signatures(certificate),
  ];
}

/** All of them as one document of pdfmake; only data, so that it can go to another thread. */
export function certificatesDocument(certificates: readonly Certificate[], club: ClubLook): object {
  const look: Look = { colours: paperColours(club), hasCrest: club.crest !== null };
  return {
    ...(club.crest ? { images: { crest: `data:image/png;base64,${club.crest.toString('base64')}` } } : {}),
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: [left, 60, 70, 60],
    defaultStyle: { font: 'text', fontSize: 11, color: ink },
    info: { title: certificates[0] ? `${certificates[0].title} – ${certificates[0].clubName}` : 'Certificates' },
    content: certificates.flatMap((certificate, index) => content(certificate, index, look)),
  };
}
