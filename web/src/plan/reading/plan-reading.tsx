import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import {
  doseText,
  findItem,
  firstRounds,
  itemTotals,
  clockText,
  safetyTalkOf,
  sidesText,
  timeOfDay,
  versionCounts,
  wordsOf,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Library,
} from '@leiter/core';
import { useState, type ReactNode } from 'react';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { sectionWords } from '../../shared/words';
import { TurnedOff } from '../findings/turned-off';
import { versionsTold } from '../editing/versions-told';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  /** What can be done to an item, below what is told of it; nothing for who only reads. */
  readonly actionsOf?: (itemId: string, close: () => void) => ReactNode;
}

/** A plan to read: what comes when, who does what, what to look out for. For who helps in a class, and for a phone. */
export function PlanReading({ page, plan, evaluation, library, actionsOf }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const totals = itemTotals(evaluation.timeline.items);
  const firsts = new Map(firstRounds(evaluation.timeline.items).map((timed) => [timed.item.id, timed]));
  const counts = versionCounts(evaluation.versions);
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  const close = (): void => {
    setOpen(null);
  };
  return (
    <>
      {plan.sections
        .filter(({ items }) => items.length > 0)
        .map((section) => (
          <Box component="section" key={section.id} aria-label={sectionWords[section.kind]} sx={{ mb: 2, maxWidth: 720 }}>
            <Box sx={{ fontWeight: 700, fontSize: 14, borderBottom: `2px solid ${palette.ink}` }}>{sectionWords[section.kind]}</Box>
            <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {section.items.map((item) => {
                const timed = firsts.get(item.id);
                const told = versionsTold(counts.get(item.id), nameOf);
                return (
                  <Box component="li" key={item.id}>
                    <Box
                      component="button"
                      type="button"
                      onClick={() => {
                        setOpen(item.id);
                      }}
                      sx={{
                        font: 'inherit',
                        color: palette.ink,
                        width: '100%',
                        textAlign: 'left',
                        border: 0,
                        borderBottom: `1px solid ${palette.line}`,
                        background: 'none',
                        p: 0,
                        minHeight: 52,
                        display: 'grid',
                        gridTemplateColumns: '52px 1fr auto',
                        gap: 1,
                        alignItems: 'center',
                        cursor: 'pointer',
                      }}
                    >
                      <span style={{ color: palette.soft }}>{timed ? timeOfDay(page.class.startsAt, timed.startSecond) : ''}</span>
                      <Box component="span" sx={{ py: 0.5 }}>
                        <Box component="span" sx={{ fontWeight: plan.focus.includes(item.movement) ? 700 : 400 }}>
                          {library.get(item.movement)?.name ?? item.movement}
                        </Box>{' '}
                        <span style={{ color: palette.soft, fontSize: 14 }}>
                          {doseText(item.dose)}
                          {sidesText(item.sides) === '' ? '' : `, ${sidesText(item.sides)}`}
                        </span>
                        {told !== '' && (
                          <Box component="span" sx={{ display: 'block', fontSize: 13.5, color: palette.primary }}>
                            {told}
                          </Box>
                        )}
                      </Box>
                      <span>{clockText(totals.get(item.id)?.seconds ?? 0)}</span>
                    </Box>
                  </Box>
                );
              })}
            </Box>
          </Box>
        ))}
      {open !== null && findItem(plan, open) && (
        <Dialog open onClose={close} aria-label={t`The item`} maxWidth="xs" fullWidth>
          <DialogContent>
            <ItemTold page={page} plan={plan} evaluation={evaluation} library={library} itemId={open} />
            {actionsOf?.(open, close)}
          </DialogContent>
          <DialogActions>
            <Button variant="contained" onClick={close}>
              <Trans>Done</Trans>
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
}

/** What the checks say, the safety talk, story: what one reads before class. */
export function BeforeClass({
  plan,
  evaluation,
  context,
  library,
}: Pick<Props, 'plan' | 'evaluation' | 'library'> & { readonly context: EvaluationContext }) {
  const findings = evaluation.findings.filter(({ acceptedBecause }) => acceptedBecause === undefined);
  const talk = safetyTalkOf(evaluation.timeline, evaluation.versions, context.children, library);
  return (
    <Box sx={{ maxWidth: 720 }}>
      {plan.story !== undefined && plan.story !== '' && (
        <Typography sx={{ mb: 2 }}>
          <strong>
            <Trans>Story:</Trans>
          </strong>{' '}
          {plan.story}
        </Typography>
      )}
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>What the checks say</Trans>
      </Typography>
      {findings.length === 0 && (
        <Typography variant="body2">
          <Trans>Nothing.</Trans>
        </Typography>
      )}
      {findings.map((finding) => {
        const { title, sentence } = wordsOf(finding, evaluation.timeline, library);
        return (
          <Box key={`${finding.check} ${finding.itemIds.join()}`} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, fontSize: 14.5 }}>
            <strong
              style={{ color: finding.severity === 'stop' ? palette.stop : finding.severity === 'caution' ? palette.caution : palette.ink }}
            >
              {finding.severity === 'stop' ? t`Stop: ` : finding.severity === 'caution' ? t`Caution: ` : t`Hint: `}
              {title}.
            </strong>{' '}
            {sentence}
          </Box>
        );
      })}
      <TurnedOff rules={context.rules} />
      <Typography variant="h2" sx={{ mt: 2.5, mb: 0.5 }}>
        <Trans>Safety talk</Trans>
      </Typography>
      {talk.map((line) => (
        <Box key={line} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, fontSize: 14.5 }}>
          {line}
        </Box>
      ))}
    </Box>
  );
}

/** One item: what it is, what one says, and which child does what else. */
function ItemTold({
  page,
  plan,
  evaluation,
  library,
  itemId,
}: Pick<Props, 'page' | 'plan' | 'evaluation' | 'library'> & { readonly itemId: string }) {
  const item = findItem(plan, itemId)?.item;
  const movement = item && library.get(item.movement);
  if (!movement) return null;
  const names = new Map(page.children.map(({ id, name }) => [id, name]));
  const others = evaluation.versions.filter((version) => version.itemId === itemId && version.tier !== 'core');
  return (
    <>
      <Typography variant="h2">{movement.name}</Typography>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1 }}>
        {movement.plainMeaning}
      </Typography>
      <Box sx={{ display: 'grid', placeItems: 'center', mb: 1 }}>
        <Figure movement={movement} size={150} />
      </Box>
      {[item.cue ?? movement.cues[0], item.note].map(
        (line) => line !== undefined && line !== '' && <Typography key={line}>{line}</Typography>,
      )}
      {others.length > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 1.5 }}>
            <Trans>Not as everybody</Trans>
          </Typography>
          {others.map(({ childId, tier, movement: slug }) => (
            <Box key={childId} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5, fontSize: 14.5 }}>
              <strong>{names.get(childId) ?? t`A child`}</strong>:{' '}
              {tier === null
                ? t`nothing of it fits`
                : tier === 'instead'
                  ? (library.get(slug)?.name ?? slug)
                  : `${tier}: ${movement.tiers[tier]?.what ?? ''}`}
            </Box>
          ))}
        </>
      )}
    </>
  );
}
