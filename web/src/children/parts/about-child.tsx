import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ChildPageResponse, Role } from '@leiter/contract';
import { currentObservations, type Library } from '@leiter/core';
import { useState } from 'react';
import { FigureRow } from '../../shared/figure-row';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { dayText, markWords } from '../../shared/words';
import { changeChild } from '../../queries/children.queries';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';
import { AskForHome } from '../wall/ask-for-home';
import { householdRows } from './household-text';
import { ChildLog } from './child-log';
import { Contacts } from './contacts';
import { FamilyPage } from './family-page';
import { EraseDialog } from './erase-dialog';
import { HealthNotes } from './health-notes';
import { detailOf } from './requirement-line';

/** What a child has at home, what was seen of it last, when it was there, and what its family may ask for. */
export function AboutChild({ page, library, role }: { readonly page: ChildPageResponse; readonly library: Library; readonly role: Role }) {
  const { child, attendance, observations } = page;
  const recent = currentObservations(observations).toReversed().slice(0, 6);
  const there = attendance.filter(({ status }) => status === 'present' || status === 'late').length;
  return (
    <>
      <HealthNotes childId={child.id} health={page.health} />
      {page.contacts !== null && !child.archived && (
        <FamilyPage child={child} contacts={page.contacts} library={library} mayChange={role !== 'assistant'} />
      )}
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>At home</Trans>
      </Typography>
      {!child.isHomeKnown && <HomeNotTold child={child} />}
      <Box component="dl" sx={{ m: 0, mb: 2.5, opacity: child.isHomeKnown ? 1 : 0.85 }}>
        {householdRows(child.household).map(([label, value]) => (
          <FigureRow key={label} label={label} value={value} />
        ))}
      </Box>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Last seen</Trans>
      </Typography>
      {recent.length === 0 && (
        <Typography variant="body2">
          <Trans>Nothing was marked yet.</Trans>
        </Typography>
      )}
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
        <Trans>Attendance</Trans>
      </Typography>
      <Typography variant="body2" sx={{ mb: 0.75 }}>
        <Trans>
          There in {there} of <Plural value={attendance.length} one="# class" other="# classes" />
        </Trans>
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
      <Contacts page={page} mayChange={role !== 'assistant'} />
      <ChildLog log={page.log} />
      <DataOfTheChild page={page} role={role} />
    </>
  );
}

/** Nobody told what there is: it says so, says what is reckoned with, and asks. */
function HomeNotTold({ child }: { readonly child: ChildPageResponse['child'] }) {
  const [isAsking, setAsking] = useState(false);
  return (
    <Box sx={{ backgroundColor: palette.cautionPaper, color: palette.caution, p: 1, borderRadius: '6px', mb: 0.5, fontSize: 14.5 }}>
      <Trans>
        <strong>Nobody has told.</strong> Plans are reckoned carefully with this:
      </Trans>{' '}
      <TextButton
        label={t`Ask the family`}
        onClick={() => {
          setAsking(true);
        }}
      />
      {isAsking && (
        <AskForHome
          people={[child]}
          onClose={() => {
            setAsking(false);
          }}
        />
      )}
    </Box>
  );
}

/** The family's data: handed out whole, archived, or erased for good. */
function DataOfTheChild({ page, role }: { readonly page: ChildPageResponse; readonly role: Role }) {
  const { child } = page;
  const [error, setError] = useState<Error | null>(null);
  const [isErasing, setErasing] = useState(false);
  const mayHandOut = role === 'owner' || (role === 'instructor' && page.health !== null);
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Refused error={error} />
      {mayHandOut && (
        <Button variant="outlined" size="small" component="a" href={`/api/children/${child.id}/record`} download="child-record.json">
          <Trans>Download this child’s record</Trans>
        </Button>
      )}
      {mayHandOut && (
        <Button variant="outlined" size="small" component="a" href={`/api/children/${child.id}/record/paper`} download="child-record.pdf">
          <Trans>The same to read (PDF)</Trans>
        </Button>
      )}
      {role !== 'assistant' && (
        <Button
          variant="outlined"
          size="small"
          onClick={() => {
            const isArchived = child.archived;
            void changeChild(child.id, { archived: !isArchived }).then(() => {
              offerUndo(t`${child.givenName} is ${isArchived ? t`put back` : 'archived'}`, () =>
                changeChild(child.id, { archived: isArchived }),
              );
            }, setError);
          }}
        >
          {child.archived ? t`Put back from the archive` : t`Archive`}
        </Button>
      )}
      {role === 'owner' && (
        <Button
          variant="outlined"
          size="small"
          color="error"
          onClick={() => {
            setErasing(true);
          }}
        >
          <Trans>Erase for good</Trans>
        </Button>
      )}
      {isErasing && (
        <EraseDialog
          child={child}
          onClose={() => {
            setErasing(false);
          }}
        />
      )}
    </Box>
  );
}
