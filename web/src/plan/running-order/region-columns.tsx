import { t } from '@lingui/core/macro';
import { firstRounds, regions, regionWord, type Region, type TimedItem } from '@leiter/core';
import { palette } from '../../shared/palette';
import type { Ruler } from '../editing/ruler';

const column = 15;

/** The regions that this class loads by 2 or more, in the order of the body. */
export function regionsLoaded(items: readonly TimedItem[]): readonly Region[] {
  return regions.filter((region) =>
    items.some(({ movement }) => movement.loads.some((load) => load.region === region && load.amount >= 2)),
  );
}

/** A column per region: outlined where it is prepared, filled where it is loaded. */
export function RegionColumns({ items, ruler }: { readonly items: readonly TimedItem[]; readonly ruler: Ruler }) {
  const shown = regionsLoaded(items);
  return (
    <svg
      width={Math.max(1, shown.length * column)}
      height={ruler.height}
      role="img"
      aria-label={describe(firstRounds(items), shown)}
      style={{ display: 'block' }}
    >
      {ruler.places.map(({ passes, top, height }) =>
        shown.map((region, index) => {
          const load = Math.max(0, ...passes.map(({ movement }) => movement.loads.find((one) => one.region === region)?.amount ?? 0));
          const isPrepared = passes.some(({ movement }) => movement.prepares.includes(region));
          if (load < 2 && !isPrepared) return null;
          return (
            <rect
              key={`${String(top)} ${region}`}
              x={index * column + 3}
              y={top + 3}
              width={9}
              height={Math.max(6, height - 6)}
              rx={2}
              fill={load >= 2 ? palette.primary : 'none'}
              stroke={palette.primary}
              strokeWidth={1.5}
            />
          );
        }),
      )}
    </svg>
  );
}

/** The heads of the columns, two letters each; the whole word on pointing. */
export function RegionHeads({ items }: { readonly items: readonly TimedItem[] }) {
  return (
    <div style={{ display: 'flex' }}>
      {regionsLoaded(items).map((region) => (
        <abbr key={region} title={regionWord(region)} style={headStyle}>
          {abbreviations[region]}
        </abbr>
      ))}
    </div>
  );
}

const headStyle = { width: column, fontSize: 11, color: palette.soft, textAlign: 'center', textDecoration: 'none' } as const;

const abbreviations: Readonly<Record<Region, string>> = {
  neck: 'ne',
  shoulders: 'sh',
  wrists: 'wr',
  'upper-back': 'ub',
  'lower-back': 'lb',
  core: 'co',
  hips: 'hi',
  'hip-flexors': 'hf',
  adductors: 'ad',
  hamstrings: 'ha',
  quadriceps: 'qu',
  knees: 'kn',
  calves: 'ca',
  ankles: 'an',
};

function describe(items: readonly TimedItem[], shown: readonly Region[]): string {
  const parts = shown.map((region) => {
    const loading = items.filter(({ movement }) => movement.loads.some((load) => load.region === region && load.amount >= 2)).length;
    const preparing = items.filter(({ movement }) => movement.prepares.includes(region)).length;
    return t`${regionWord(region)}: prepared by ${preparing}, loaded by ${loading}`;
  });
  return parts.join('; ') || t`No region is loaded much`;
}
