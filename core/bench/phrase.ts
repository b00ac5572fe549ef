import { missingEntries, mirroredPhrase, readPhrase, walk, walkingFigure, type Library, type WrittenPhrase } from '@leiter/core';
import { Bench } from 'tinybench';

/** Measures what a key in the editor of phrases waits for, of the longest phrase that is danced: prints one JSON line per row. */
const eights = [
  '1 R fwd / arms opposition / say walk, 2 L fwd / say walk, 3 R kick / arms low v / say kick, & R back, 4 L place, 5 R cross / arms open, 6 L back, 7 R side, 8 L close',
  '1 R side / look R / say slide, 2 L touch close, 3 L behind, & R side, 4 L cross, 5 R fwd, 6 R turn left 180 / say turn, 7 L fwd, 8 R touch side / say hit',
];
const text = Array.from({ length: 8 }, (_, index) => `# Eight ${String(index + 1)}\n${eights[index % 2] ?? ''}`).join('\n');
const written: WrittenPhrase = {
  beats: 8,
  learnBpm: 84,
  bpm: 108,
  countIn: 8,
  startWeight: 'left',
  startFacing: 1,
  endsAtStart: false,
  text,
};
const library: Library = new Map();

/** All that the page reckons of it: read, weights, path and findings of both sides, entries that are missing. */
function reckoned(): number {
  const read = readPhrase(written);
  if (!read.ok) throw new Error('the phrase cannot be read');
  const [own, other] = [walk(read.value), walk(mirroredPhrase(read.value))];
  return own.findings.length + other.findings.length + missingEntries(read.value, library).length;
}

const bench = new Bench({ time: 1500, warmupTime: 300 });
bench.add('phrase of 64 counts: read, weights, path and findings of both sides', () => {
  reckoned();
});
const read = readPhrase(written);
const figure = read.ok ? walkingFigure(read.value) : null;
let count = 0;
bench.add('phrase of 64 counts: the figure at one moment', () => {
  count = (count + 0.37) % 64;
  figure?.at(count);
});
await bench.run();
for (const { name, result } of bench.tasks) {
  if (result.state !== 'completed') throw new Error(`${name} did not run to its end`);
  const { p50, p99, samplesCount } = result.latency;
  console.log(JSON.stringify({ name, medianMs: p50, p99Ms: p99, limit: name.includes('moment') ? 1 : 2, runs: samplesCount }));
}
