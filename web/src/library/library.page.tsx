import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { effortWord, type Movement } from '@leiter/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { EffortBand } from '../shared/effort-band';
import { Figure } from '../shared/figure';
import { Loaded, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { kindWords, plural, programmeWords } from '../shared/words';
import { useMovements } from './library.queries';
import { movementSearch } from './movement-search';

type Part = 'all' | 'general' | 'gymnastics' | 'dance' | 'martial-arts';

const parts: readonly Part[] = ['all', 'general', 'gymnastics', 'dance', 'martial-arts'];

function isIn(movement: Movement, part: Part): boolean {
  if (part === 'all') return true;
  return part === 'general' ? movement.programmes.length === 0 : movement.programmes.includes(part);
}

/** Every movement the club can teach. */
export function LibraryPage() {
  const movements = useMovements();
  const [text, setText] = useState('');
  const [part, setPart] = useState<Part>('all');
  const search = useMemo(() => movementSearch(movements.data ?? []), [movements.data]);
  const found = search(text);
  const shown = found.filter((movement) => isIn(movement, part));
  return (
    <Page
      title="Library"
      about={plural(shown.length, 'movement', 'movements')}
      actions={
        <>
          <TextField
            placeholder="Name, term or meaning"
            autoFocus
            value={text}
            onChange={(event) => {
              setText(event.target.value);
            }}
            slotProps={{ htmlInput: { 'aria-label': 'Find a movement' } }}
          />
          <ToggleButtonGroup
            exclusive
            size="small"
            value={part}
            aria-label="Programme"
            onChange={(_event, value: Part | null) => {
              if (value) setPart(value);
            }}
          >
            {parts.map((one) => (
              <ToggleButton key={one} value={one}>
                {one === 'all' ? 'All' : one === 'general' ? 'General' : programmeWords[one]}{' '}
                {found.filter((movement) => isIn(movement, one)).length}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </>
      }
    >
      <Panel label="Movements">
        <Loaded query={movements} what="library">
          {() => (
            <Box
              component="ul"
              sx={{
                listStyle: 'none',
                p: 0,
                m: 0,
                display: 'grid',
                gridTemplateColumns: 'repeat(auto-fill, minmax(330px, 1fr))',
                columnGap: 3,
              }}
            >
              {shown.map((movement) => (
                <MovementCard key={movement.slug} movement={movement} />
              ))}
              {shown.length === 0 && <li>Nothing like this. Type less, or look in all programmes.</li>}
            </Box>
          )}
        </Loaded>
      </Panel>
    </Page>
  );
}

function MovementCard({ movement }: { readonly movement: Movement }) {
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 1, display: 'flex', gap: 1.25, alignItems: 'center' }}>
      <EffortBand effort={movement.effort} width={8} />
      <Figure movement={movement} size={56} />
      <Box sx={{ minWidth: 0 }}>
        <Link to={`/library/${movement.slug}`}>{movement.name}</Link>
        <Box sx={{ fontSize: 13.5, color: palette.soft, lineHeight: 1.3 }}>{movement.plainMeaning}</Box>
        <Box sx={{ fontSize: 12.5, color: palette.soft }}>
          {kindWords[movement.kind]} · {effortWord(movement.effort)} · from {movement.leastAge} years
        </Box>
      </Box>
    </Box>
  );
}
