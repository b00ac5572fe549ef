import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { clockText, itemTotals, type Evaluation } from '@leiter/core';
import { Link } from 'react-router';
import { storeItemTimes, useTeachingNoted } from '../../plan/class.queries';
import { palette } from '../../shared/palette';
import type { LiveRun } from '../use-run';

/** When the last item is over: the real times go to the record, then the marks. */
export function AfterClass({
  page,
  evaluation,
  live,
}: {
  readonly page: ClassPageResponse;
  readonly evaluation: Evaluation;
  readonly live: LiveRun;
}) {
  const noted = useTeachingNoted(page.class.id);
  const real = live.run?.realSeconds ?? {};
  const total = Object.values(real).reduce((sum, seconds) => sum + seconds, 0);
  const finish = async (): Promise<void> => {
    const times = [...itemTotals(evaluation.timeline.items)].flatMap(([itemId, { seconds }]) => {
      const realSeconds = real[itemId];
      return realSeconds === undefined ? [] : [{ itemId, plannedSeconds: seconds, realSeconds }];
    });
    await storeItemTimes(page.class.id, times);
    await noted.mutateAsync({ teaching: 'ended' });
  };
  return (
    <Box sx={{ p: 6, maxWidth: 720 }}>
      <Typography component="h1" sx={{ fontSize: 60, fontWeight: 700, lineHeight: 1.1 }}>
        The class is over
      </Typography>
      <Typography sx={{ fontSize: 24, mb: 4, color: palette.nightSoft }}>
        It took {clockText(total)}; planned were {clockText(evaluation.timeline.totalSeconds)}. Note now what was seen, while you remember
        it.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button
          variant="contained"
          size="large"
          component={Link}
          to={`/classes/${page.class.id}/marks`}
          onClick={() => {
            // kept in the run until it has arrived: pressing again sends it again
            void finish().then(live.forget, () => undefined);
          }}
          sx={{ fontSize: 20, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: '#FFFFFF' } }}
        >
          Mark what was seen
        </Button>
        <Button
          variant="outlined"
          size="large"
          onClick={() => {
            live.move('back');
          }}
          sx={{ color: palette.cream, borderColor: palette.nightSoft }}
        >
          Back to the last item
        </Button>
      </Box>
    </Box>
  );
}
