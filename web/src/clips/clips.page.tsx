import { plural, t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { ClipResponse } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { useLibrary } from '../queries/library.queries';
import { api } from '../shared/api';
import { ChoiceRow, ChoiceRows } from '../shared/choice-row';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dateText } from '../shared/words';
import { WatchedClip } from './parts/watched-clip';

/** What families sent to be looked at, of all children one teaches or of one; what nobody looked at stands first. */
function ClipsPage() {
  const { id } = useParams();
  const library = useLibrary();
  const query = useQuery({
    queryKey: ['clips', id ?? 'all'],
    queryFn: () => api<readonly ClipResponse[]>('GET', id === undefined ? 'clips' : `children/${id}/clips`),
  });
  return (
    <Loaded query={query} what={t`clips`}>
      {(clips) => <Clips clips={clips} library={library} />}
    </Loaded>
  );
}

function Clips({ clips, library }: { readonly clips: readonly ClipResponse[]; readonly library: Library }) {
  const [search, setSearch] = useSearchParams();
  const clip = clips.find(({ id }) => id === search.get('clip')) ?? clips[0];
  const left = clips.filter(({ seenAt }) => seenAt === null).length;
  return (
    <Page title={t`Clips from home`} about={left === 0 ? t`all looked at` : plural(left, { one: '# to look at', other: '# to look at' })}>
      {clip ? (
        <>
          <Panel label={t`Clips`} width={300}>
            <ChoiceRows>
              {clips.map((one) => (
                <ChoiceRow
                  key={one.id}
                  isChosen={one === clip}
                  onChoose={() => {
                    setSearch({ clip: one.id }, { replace: true });
                  }}
                >
                  <strong>{one.childName}</strong>
                  <div>{library.get(one.movement)?.name ?? one.movement}</div>
                  <Box sx={{ fontSize: 13.5, color: palette.soft }}>
                    {one.seenAt === null ? t`sent ${dateText(one.sentAt.slice(0, 10))}` : t`looked at ${dateText(one.seenAt.slice(0, 10))}`}
                  </Box>
                </ChoiceRow>
              ))}
            </ChoiceRows>
          </Panel>
          <Panel label={t`The clip`} isFirstOnPhone>
            <WatchedClip key={clip.id} clip={clip} movement={library.get(clip.movement) ?? null} />
          </Panel>
        </>
      ) : (
        <Message
          title={t`No clips`}
          text={t`A family sends a clip from its page, once it has allowed it there. It is kept for sixty days and seen by nobody but the staff of the child.`}
        />
      )}
    </Page>
  );
}

export { ClipsPage as Page };
