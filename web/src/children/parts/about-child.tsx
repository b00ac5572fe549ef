import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ChildPageResponse, Role } from '@leiter/contract';
import { currentObservations, type Library } from '@leiter/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { FigureRow } from '../../shared/figure-row';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { dayText, markWords, plural } from '../../shared/words';
import { useChangeChild, useEraseChild } from '../children.queries';
import { householdRows } from '../household-text';
import { HealthNotes } from './health-notes';
import { detailOf } from './requirement-line';

/** What a child has at home, what was seen of it last, when it was there, and what its family may ask for. */
export function AboutChild({ page, library, role }: { readonly page: ChildPageResponse; readonly library: Library; readonly role: Role }) {
  const { child, attendance, observations } = page;
  const recent = currentObservations(observations).toReversed().slice(0, 6);
  const there = attendance.filter(({ status }) => status === 'present' || status === 'late').length;
  return (
    <>
      <HealthNotes childId={child.id} notes={page.healthNotes} />
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        At home
      </Typography>
      <Box component="dl" sx={{ m: 0, mb: 2.5 }}>
        {householdRows(child.household).map(([label, value]) => (
          <FigureRow key={label} label={label} value={value} />
        ))}
      </Box>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Last seen
      </Typography>
      {recent.length === 0 && <Typography variant="body2">Nothing was marked yet.</Typography>}
      <Box component="dl" sx={{ m: 0, mb: 2.5 }}>
        {recent.map((one) => {
          const movement = library.get(one.movement);
          const detail = detailOf(one, movement);
          return (
            <FigureRow
              key={one.id}
              label={`${movement?.name ?? one.movement}${one.side === 'none' ? '' : `, ${one.side}`}`}
              value={`${markWords[one.mark]}${detail === '' ? '' : ` · ${detail}`}`}
            />
          );
        })}
      </Box>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Attendance
      </Typography>
      <Typography variant="body2" sx={{ mb: 0.75 }}>
        There in {there} of {plural(attendance.length, 'class', 'classes')}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '3px', mb: 3 }}>
        {attendance.toReversed().map(({ classId, day, status }) => (
          <Box
            key={classId}
            role="img"
            aria-label={`${dayText(day)}: ${status}`}
            title={`${dayText(day)}: ${status}`}
            sx={{
              width: 18,
              height: 18,
              borderRadius: '3px',
              border: `1.5px solid ${palette.primary}`,
              background:
                status === 'present'
                  ? palette.primary
                  : status === 'late'
                    ? `linear-gradient(90deg, transparent 50%, ${palette.primary} 50%)`
                    : status === 'watched'
                      ? `repeating-linear-gradient(0deg, ${palette.primary} 0 2px, transparent 2px 5px)`
                      : 'transparent',
            }}
          />
        ))}
      </Box>
      <DataOfTheChild page={page} role={role} />
    </>
  );
}

/** The family's data: handed out whole, archived, or erased for good. */
function DataOfTheChild({ page, role }: { readonly page: ChildPageResponse; readonly role: Role }) {
  const { child } = page;
  const change = useChangeChild(child.id);
  const erase = useEraseChild(child.id);
  const navigate = useNavigate();
  const [isAsking, setAsking] = useState(false);
  const download = (): void => {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([JSON.stringify(page, null, 2)], { type: 'application/json' }));
    link.download = 'child-data.json';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Refused error={change.error ?? erase.error} />
      <Button variant="outlined" size="small" onClick={download}>
        Hand out all data
      </Button>
      {role !== 'assistant' && (
        <Button
          variant="outlined"
          size="small"
          disabled={change.isPending}
          onClick={() => {
            change.mutate({ archived: !child.archived });
          }}
        >
          {child.archived ? 'Put back from the archive' : 'Archive'}
        </Button>
      )}
      {role === 'owner' && !isAsking && (
        <Button
          variant="outlined"
          size="small"
          color="error"
          onClick={() => {
            setAsking(true);
          }}
        >
          Erase for good
        </Button>
      )}
      {isAsking && (
        <Button
          variant="contained"
          size="small"
          color="error"
          onClick={() => {
            erase.mutate(undefined, { onSuccess: () => void navigate('/children') });
          }}
        >
          Erase {child.givenName} with everything noted
        </Button>
      )}
    </Box>
  );
}
