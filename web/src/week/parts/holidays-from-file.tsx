import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HolidayResponse } from '@leiter/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Day } from '@leiter/core';
import { useState } from 'react';
import { addHoliday, removeHoliday } from '../../queries/calendar.queries';
import { FileButton } from '../../shared/file-button';
import { palette } from '../../shared/palette';
import { offerUndo } from '../../shared/undo-bar';
import { dateText } from '../../shared/words';
import type { FoundHoliday } from './holidays-in-file';

const mostBytes = 2_000_000;

/** Takes holidays out of a calendar file, the school's perhaps: those that are ticked. */
export function HolidaysFromFile({
  holidays,
  today,
  onDone,
}: {
  readonly holidays: readonly HolidayResponse[];
  readonly today: Day;
  readonly onDone: () => void;
}) {
  const [found, setFound] = useState<readonly FoundHoliday[] | null>(null);
  const [left, setLeft] = useState<ReadonlySet<FoundHoliday>>(new Set());
  const [failed, setFailed] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const isThere = (one: FoundHoliday): boolean => holidays.some(({ fromDay, toDay }) => fromDay <= one.fromDay && one.toDay <= toDay);
  const read = async (file: File): Promise<void> => {
    setFailed(null);
    setFound(null);
    if (file.size > mostBytes) {
      setFailed(t`This file has more than 2 MB: it is hardly a calendar of holidays.`);
      return;
    }
    try {
      // read with a package of its own that nobody else waits for
      const { holidaysInFile } = await import('./holidays-in-file');
      const all = holidaysInFile(await file.text(), today);
      setFound(all);
      setLeft(new Set(all.filter(isThere)));
      if (all.length === 0) setFailed(t`There is no whole day to come in this file.`);
    } catch {
      setFailed(t`This is no calendar file (.ics), or it is cut off.`);
    }
  };
  const chosen = (found ?? []).filter((one) => !left.has(one));
  const take = async (): Promise<void> => {
    setBusy(true);
    const added: HolidayResponse[] = [];
    try {
      // one after the other: what failed is named, what was added can be taken back
      for (const one of chosen) added.push(await addHoliday(one));
    } catch {
      setFailed(t`Not all of them could be added.`);
    }
    setBusy(false);
    if (added.length > 0)
      offerUndo(t`${plural(added.length, { one: '# holiday was added', other: '# holidays were added' })}`, async () => {
        for (const { id } of added) await removeHoliday(id);
      });
    if (added.length === chosen.length) onDone();
  };
  return (
    <Box>
      <FileButton
        isSmall
        label={t`Holidays as a calendar file`}
        accept=".ics,text/calendar"
        onFiles={([file]) => {
          if (file) void read(file);
        }}
      >
        <Trans>From a calendar file (.ics)</Trans>
      </FileButton>
      {failed !== null && (
        <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
          {failed}
        </Box>
      )}
      {found !== null && found.length > 0 && (
        <Box sx={{ mt: 1 }}>
          <Box component="ul" aria-label={t`Found in the file`} sx={{ listStyle: 'none', m: 0, p: 0, maxHeight: 220, overflowY: 'auto' }}>
            {found.map((one) => (
              <li key={`${one.name} ${one.fromDay}`}>
                <Box component="label" sx={{ display: 'flex', gap: 1, py: 0.5, cursor: 'pointer' }}>
                  <input
                    type="checkbox"
                    checked={!left.has(one)}
                    onChange={({ target }) => {
                      const next = new Set(left);
                      if (target.checked) next.delete(one);
                      else next.add(one);
                      setLeft(next);
                    }}
                  />
                  <span>
                    {one.name}
                    <span style={{ color: palette.soft }}>
                      {` ${dateText(one.fromDay)}`}
                      {one.toDay !== one.fromDay && t` to ${dateText(one.toDay)}`}
                      {isThere(one) && t` · is one already`}
                    </span>
                  </span>
                </Box>
              </li>
            ))}
          </Box>
          <Button
            variant="contained"
            size="small"
            sx={{ mt: 1 }}
            disabled={isBusy || chosen.length === 0}
            onClick={() => {
              void take();
            }}
          >
            {plural(chosen.length, { one: 'Take # holiday in', other: 'Take # holidays in' })}
          </Button>
        </Box>
      )}
    </Box>
  );
}
