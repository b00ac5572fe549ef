import { performance } from 'node:perf_hooks';
import sharp from 'sharp';
import { certificatesDocument, type Certificate } from '#server/certificates/certificate-paper';
import { setPaper } from '#server/work/worker';

/** Certificates with crest, ladder, ten things shown and a code: 500 in one file beside 50 files of one. Prints one JSON line. */
const count = 500;
const alone = 50;
const crest = await sharp({ create: { width: 1024, height: 1024, channels: 4, background: '#b5442e' } })
  .png()
  .toBuffer();
const look = { colour: '#b5442e', secondColour: '#1f4e79', crest } as const;
const certificates = Array.from({ length: count }, (_, index): Certificate => ({
  clubName: 'The Sail Loft, Farholm',
  childName: `Child ${String(index)} B.`,
  says: 'has earned the grade',
  title: ['First Light', 'Reef', 'Sunrise', 'Anchor'][index % 4] ?? '',
  about: 'Gymnastics, 1 December 2026',
  shown: Array.from({ length: 10 }, (_one, at) => `Something that was shown ${String(at)}: on both sides`),
  signedBy: 'Tomasz Bielik',
  ladder: { rungs: 8, earned: (index % 8) + 1 },
  verifiedAt: `https://leiter.example.org/verify/0b5c8f4e-5f3a-4c6e-9d2b-${String(index).padStart(12, '0')}`,
}));
const timed = async (work: () => Promise<number>): Promise<{ readonly seconds: number; readonly bytes: number }> => {
  const before = performance.now();
  const bytes = await work();
  return { seconds: (performance.now() - before) / 1000, bytes };
};
await setPaper({ document: certificatesDocument(certificates.slice(0, 1), look) });
const together = await timed(async () => (await setPaper({ document: certificatesDocument(certificates, look) })).length);
const apart = await timed(async () => {
  let bytes = 0;
  for (const one of certificates.slice(0, alone)) bytes += (await setPaper({ document: certificatesDocument([one], look) })).length;
  return bytes;
});
console.log(JSON.stringify({ table: 'certificates', count, alone, together, apart }));
