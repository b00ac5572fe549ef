import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassPageResponse, TaughtClass } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { clockText, evaluatePlan, itemTotals, type ClassPlan, type Library } from '@leiter/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { changeClass, useTaughtClass } from '../queries/calendar.queries';
import { LoadedClass } from '../queries/loaded-class';
import { useMay } from '../queries/may';
import { useSession } from '../queries/session.queries';
import { ButtonLink } from '../shared/button-link';
import { Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { PaperButton } from '../shared/paper/paper-button';
import { TextButton } from '../shared/text-button';
import { offerUndo } from '../shared/undo-bar';
import { dayText, sectionWords } from '../shared/words';
import { Chapters } from './parts/chapters';
import { ClassNote } from './parts/class-note';
import { MarksGiven } from './parts/marks-given';
import { RescheduleDialog } from './parts/reschedule-dialog';
import { Roll } from './parts/roll';

/** One class from its plan to its marks: what was planned, what it took, who was there, what was seen and what was noted. */
function ClassPage() {
  const { id = '' } = useParams();
  return <LoadedClass id={id}>{(page, library) => <OneClass page={page} library={library} />}</LoadedClass>;
}

function OneClass({ page, library }: { readonly page: ClassPageResponse; readonly library: Library }) {
  const { class: session, stored } = page;
  const may = useMay();
  const taught = useTaughtClass(session.id).data;
  const [isMoving, setMoving] = useState(false);
  const to = `/classes/${session.id}`;
  return (
    <Page
      title={session.groupName}
      about={t`${dayText(session.day)} · ${session.startsAt} · ${session.lengthMinutes} min`}
      actions={
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {(may.change || stored) && (
            <ButtonLink to={`${to}/plan`} variant={stored ? 'outlined' : 'contained'}>
              {stored ? t`Plan` : t`Plan this class`}
            </ButtonLink>
          )}
          {may.change && stored && session.endedAt === null && session.cancelledBecause === null && (
            <ButtonLink to={`${to}/teach`} variant="contained">
              <Trans>Teach</Trans>
            </ButtonLink>
          )}
          {session.taughtAt !== null && session.endedAt === null && (
            <ButtonLink to={`${to}/beside`}>
              <Trans>Beside it</Trans>
            </ButtonLink>
          )}
          {may.change && stored && (
            <ButtonLink to={`${to}/rehearse`}>
              <Trans>Rehearse</Trans>
            </ButtonLink>
          )}
          <ButtonLink to={`${to}/marks`}>
            <Trans>Marks</Trans>
          </ButtonLink>
          {may.change && session.cancelledBecause === null && (
            <ButtonLink to={`${to}/letters`}>
              <Trans>Letters</Trans>
            </ButtonLink>
          )}
          {stored && (
            <ButtonLink to={`${to}/compare`}>
              <Trans>Compare</Trans>
            </ButtonLink>
          )}
          {may.change && session.taughtAt === null && (
            <Button
              variant="outlined"
              onClick={() => {
                setMoving(true);
              }}
            >
              <Trans>Move or cancel</Trans>
            </Button>
          )}
        </Box>
      }
    >
      <Panel label={t`What was planned`}>
        <Standing page={page} taught={taught} />
        {stored ? (
          <>
            <Order page={page} plan={stored.plan} taught={taught} library={library} />
            <Chapters page={page} taught={taught} library={library} />
          </>
        ) : (
          <Message
            title={t`Not planned`}
            text={may.change ? t`A running order that fits the group is ready to start from.` : t`Whoever teaches it plans it.`}
          />
        )}
      </Panel>
      <Panel label={t`Roll, marks and note`} width={440} isFirstOnPhone>
        <Roll page={page} />
        <MarksGiven page={page} library={library} />
        <ClassNote page={page} />
        {may.change &&
          session.taughtAt !== null &&
          page.children.some(({ attendance }) => attendance === 'present' || attendance === 'late') && (
            <Box sx={{ mt: 2 }}>
              <PaperButton path={`classes/${session.id}/certificates`} variant="outlined">
                <Trans>Certificates for those who took part</Trans>
              </PaperButton>
            </Box>
          )}
      </Panel>
      {isMoving && (
        <RescheduleDialog
          session={session}
          onClose={() => {
            setMoving(false);
          }}
        />
      )}
    </Page>
  );
}

/** In a sentence where the class stands. */
function Standing({ page, taught }: { readonly page: ClassPageResponse; readonly taught: TaughtClass | undefined }) {
  const { class: session } = page;
  const today = useSession().data?.today ?? session.day;
  const may = useMay();
  const real = taught?.items.reduce((sum, { realSeconds }) => sum + realSeconds, 0) ?? 0;
  if (session.cancelledBecause !== null)
    return (
      <Box sx={{ mb: 2 }}>
        <strong>
          <Trans>It does not take place:</Trans>
        </strong>{' '}
        {session.cancelledBecause}{' '}
        {may.change && (
          <TextButton
            label={t`It takes place after all`}
            onClick={() => {
              const reason = session.cancelledBecause;
              void changeClass(session.id, { cancelledBecause: null }).then(() => {
                offerUndo(t`${session.groupName} takes place`, () => changeClass(session.id, { cancelledBecause: reason }));
              });
            }}
          />
        )}
      </Box>
    );
  return (
    <Typography sx={{ mb: 2 }}>
      {session.taughtAt !== null
        ? t`Taught${real > 0 ? t` in ${clockText(real)}` : ''}${session.endedAt === null ? t`; its end was not noted` : ''}.`
        : session.day < today
          ? t`Nobody wrote down that it was taught. `
          : t`Still to be taught.`}
      {session.taughtAt === null && session.day < today && may.change && (
        <TextButton
          label={t`It was taught`}
          onClick={() => {
            void changeClass(session.id, { teaching: 'ended' }).then(() => {
              offerUndo(t`${session.groupName} was taught`, () => changeClass(session.id, { teaching: 'not-at-all' }));
            });
          }}
        />
      )}
      {session.slotDay !== null && t` It stands for ${dayText(session.slotDay)}.`}
      {session.rehearsedAt !== null && session.taughtAt === null && t` Tried on ${dayText(session.rehearsedAt.slice(0, 10))}.`}
      {session.stopsNote !== null && session.stopsNote !== '' && (
        <Box component="span" sx={{ display: 'block', color: palette.soft }}>
          <Trans>How stops were dealt with: {session.stopsNote}</Trans>
        </Box>
      )}
    </Typography>
  );
}

/** The running order with what each item was to take and what it took. */
function Order({
  page,
  plan,
  taught,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly taught: TaughtClass | undefined;
  readonly library: Library;
}) {
  const totals = useMemo(() => itemTotals(evaluatePlan(plan, library, evaluationContextOf(page)).timeline.items), [plan, library, page]);
  const real = new Map((taught?.items ?? []).map((item) => [item.itemId, item]));
  const isTaught = real.size > 0;
  const longest = Math.max(
    60,
    ...[...totals.values()].map(({ seconds }) => seconds),
    ...[...real.values()].map(({ realSeconds }) => realSeconds),
  );
  const wide = (seconds: number): string => `${String((seconds / longest) * 100)}%`;
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: 'collapse',
        width: '100%',
        maxWidth: 760,
        fontSize: 15,
        '& td, & th': { textAlign: 'left', fontWeight: 400, py: 0.4, verticalAlign: 'top' },
      }}
    >
      <thead>
        <Box component="tr" sx={{ fontSize: 13.5, color: palette.soft }}>
          <th>{plural([...totals.keys()].length, { one: '# item', other: '# items' })}</th>
          <Box component="th" sx={{ width: '34%' }}>
            {isTaught ? t`planned above, real below` : t`reckoned`}
          </Box>
          <Box component="th" sx={{ width: 110, textAlign: 'right !important' }}>
            {isTaught ? t`real` : ''}
          </Box>
        </Box>
      </thead>
      {plan.sections
        .filter(({ items }) => items.length > 0)
        .map((section) => (
          <tbody key={section.id}>
            <tr>
              <Box
                component="th"
                scope="rowgroup"
                colSpan={3}
                sx={{ pt: '10px !important', fontWeight: '700 !important', fontSize: 14, borderBottom: `2px solid ${palette.ink}` }}
              >
                {sectionWords[section.kind]}
              </Box>
            </tr>
            {section.items.map((item) => {
              const planned = real.get(item.id)?.plannedSeconds ?? totals.get(item.id)?.seconds ?? 0;
              const took = real.get(item.id)?.realSeconds;
              return (
                <Box component="tr" key={item.id} sx={{ borderBottom: `1px solid ${palette.line}` }}>
                  <td>
                    <Link to={`/library/${item.movement}`} style={{ color: palette.ink }}>
                      {library.get(item.movement)?.name ?? item.movement}
                    </Link>
                    {plan.focus.includes(item.movement) && (
                      <Box component="span" sx={{ color: palette.primary, fontWeight: 700 }}>
                        <Trans> focus</Trans>
                      </Box>
                    )}
                  </td>
                  <td>
                    <Box sx={{ height: 7, mt: '5px', width: wide(planned), border: `1px solid ${palette.primary}` }} />
                    {took !== undefined && <Box sx={{ height: 7, mt: '2px', width: wide(took), backgroundColor: palette.primary }} />}
                  </td>
                  <Box component="td" sx={{ textAlign: 'right !important', fontVariantNumeric: 'tabular-nums' }}>
                    {took === undefined ? (
                      <span style={{ color: isTaught ? palette.soft : palette.ink }}>{isTaught ? t`not taught` : clockText(planned)}</span>
                    ) : (
                      <>
                        <strong>{clockText(took)}</strong>{' '}
                        <span style={{ color: palette.soft }}>
                          <Trans>of {clockText(planned)}</Trans>
                        </span>
                      </>
                    )}
                  </Box>
                </Box>
              );
            })}
          </tbody>
        ))}
    </Box>
  );
}

export { ClassPage as Page };
