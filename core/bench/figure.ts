import { blended, completePose, figureAt, inContact, motionOf, poseNamed, poseNames, solve, writtenPose } from '@leiter/core';
import { Bench } from 'tinybench';

/** Measures what a page full of moving figures waits for: prints one JSON line per row. */
const poses = poseNames.flatMap((name) => poseNamed(name) ?? []);
const between = Array.from({ length: 1000 }, (_, index) => {
  const [from, to] = [poses[index % poses.length], poses[(index * 7 + 3) % poses.length]];
  if (!from || !to) throw new Error('no poses');
  return { from, to, share: (index % 10) / 10 };
});

const bench = new Bench({ time: 1500, warmupTime: 300 });
bench.add('figure: 1,000 poses blended and solved', () => {
  for (const { from, to, share } of between) solve(blended(from, to, share));
});
const touching = poseNames.flatMap((name) => {
  const written = writtenPose(name);
  return written?.touch ? [{ written, pose: completePose(written) }] : [];
});
const thousand = Array.from({ length: 1000 }, (_, index) => touching[index % touching.length] ?? { written: {}, pose: completePose({}) });
bench.add('figure: 1,000 poses brought into contact and solved', () => {
  for (const { written, pose } of thousand) solve(inContact(pose, written));
});
const kick = motionOf(['fighting-stance', 'front-chamber quick', 'front-kick quick', 'front-chamber quick', 'fighting-stance']);
if (!kick) throw new Error('no motion');
bench.add('figure: one moment of a kick, the standing foot kept', () => figureAt(kick, Math.random()));
await bench.run();
for (const { name, result } of bench.tasks) {
  if (result.state !== 'completed') throw new Error(`${name} did not run to its end`);
  console.log(
    JSON.stringify({
      name,
      medianMs: result.latency.p50,
      p99Ms: result.latency.p99,
      limit: name.includes('moment') ? 1 : name.includes('contact') ? 40 : 20,
      runs: result.latency.samplesCount,
    }),
  );
}
