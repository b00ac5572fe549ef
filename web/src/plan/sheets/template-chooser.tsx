import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse, TemplateResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import {
  itemTotals,
  ageBandOf,
  clockText,
  fillSlot,
  meanAge,
  planFromTemplate,
  sectionKinds,
  templatesFor,
  type ClassPlan,
  type Library,
} from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { TextButton } from '../../shared/text-button';
import { removeTemplate } from '../../queries/class.queries';
import { evaluationOf } from '../../queries/evaluation';
import { EarlierClasses } from './earlier-classes';

interface Props {
  readonly page: ClassPageResponse;
  readonly templates: readonly TemplateResponse[];
  readonly library: Library;
  readonly onStart: (plan: ClassPlan) => void;
}

const shownAtOnce = 4;
const newId = (): string => crypto.randomUUID();

/** A class without a plan: start from a whole running order that fits, or from empty sections. */
export function TemplateChooser({ page, templates, library, onStart }: Props) {
  const context = evaluationContextOf(page);
  const fitting = templatesFor(templates, {
    programme: page.class.programme,
    lengthMinutes: page.class.lengthMinutes,
    ageBand: ageBandOf(meanAge(context.agesYears)),
  });
  const [areAllShown, setAllShown] = useState(false);
  // each is reckoned for this group: the few that fit best at once, the others when they are asked for
  const shown = areAllShown ? fitting : fitting.filter(({ ownId }, index) => index < shownAtOnce || ownId !== null);
  return (
    <Box sx={{ p: 4, overflowY: 'auto', display: 'grid', gridTemplateColumns: 'minmax(0, 720px) minmax(260px, 420px)', columnGap: 6 }}>
      <div>
        <Typography variant="h2">
          <Trans>This class has no plan yet</Trans>
        </Typography>
        <Typography sx={{ mb: 2 }}>
          <Trans>
            Start from a running order that is whole as it stands, and change what today wants. The first one fits this group best.
          </Trans>
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {shown.map((template, index) => {
            const started = planFromTemplate(template, library, newId);
            if (!started.ok) return null;
            const plan = fillSlot(started.value, library, context);
            const { timeline } = evaluationOf(plan, library, page);
            return (
              <Box
                component="li"
                key={template.slug}
                sx={{ borderTop: `1px solid ${palette.line}`, py: 1.5, display: 'flex', alignItems: 'center', gap: 2 }}
              >
                <Box sx={{ flex: 1 }}>
                  <Typography variant="h3">
                    {template.name}
                    {template.ownId !== null && t` – of the club`}
                  </Typography>
                  <Typography variant="body2" sx={{ color: palette.soft }}>
                    <Trans>
                      <Plural value={itemTotals(timeline.items).size} one="# item" other="# items" /> · {clockText(timeline.totalSeconds)}{' '}
                      with this group · for {template.lengthMinutes} minutes, {template.ageBand} years · focus{' '}
                      {template.focus.map((slug) => library.get(slug)?.name.toLowerCase() ?? slug).join(', ')}
                    </Trans>
                  </Typography>
                </Box>
                {template.ownId !== null && (
                  <Button
                    variant="outlined"
                    aria-label={t`Put away ${template.name}`}
                    onClick={() => {
                      void removeTemplate(template.ownId ?? '');
                    }}
                  >
                    <Trans>Put away</Trans>
                  </Button>
                )}
                <Button
                  variant={index === 0 ? 'contained' : 'outlined'}
                  autoFocus={index === 0}
                  aria-label={t`Start from ${template.name}`}
                  onClick={() => {
                    onStart(plan);
                  }}
                >
                  <Trans>Start from this</Trans>
                </Button>
              </Box>
            );
          })}
          {shown.length < fitting.length && (
            <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 1.5 }}>
              <TextButton
                label={t`Show the other ${fitting.length - shown.length} running orders`}
                onClick={() => {
                  setAllShown(true);
                }}
              />
            </Box>
          )}
          <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 1.5, display: 'flex', alignItems: 'center', gap: 2 }}>
            <Box sx={{ flex: 1 }}>
              <Typography variant="h3">
                <Trans>Empty sections</Trans>
              </Typography>
              <Typography variant="body2" sx={{ color: palette.soft }}>
                <Trans>Opening to closing, nothing in them yet</Trans>
              </Typography>
            </Box>
            <Button
              variant="outlined"
              onClick={() => {
                onStart({ sections: sectionKinds.map((kind) => ({ id: newId(), kind, items: [] })), focus: [] });
              }}
            >
              <Trans>Start empty</Trans>
            </Button>
          </Box>
        </Box>
      </div>
      <EarlierClasses page={page} library={library} onStart={onStart} />
    </Box>
  );
}
