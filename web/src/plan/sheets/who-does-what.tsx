import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse, ExpectedChild } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import {
  firstRounds,
  tierNames,
  versionWords,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Library,
  type PlanEdit,
  type TierName,
  type Version,
} from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { ForTheParents } from './for-the-parents';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly context: EvaluationContext;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
  readonly onClose: () => void;
}

const cells: Readonly<Record<TierName | 'instead' | 'none', { readonly word: string; readonly paper: string; readonly ink: string }>> = {
  easier: { word: 'easier', paper: '#F3EFE4', ink: palette.ink },
  core: { word: 'core', paper: palette.white, ink: palette.ink },
  harder: { word: 'harder', paper: '#DCEBEC', ink: palette.ink },
  instead: { word: 'instead', paper: palette.cautionPaper, ink: palette.caution },
  none: { word: 'none', paper: palette.stopPaper, ink: palette.stop },
};

/** Children × items: which version each does, why, and set by hand where one knows better; and what each family needs at home. */
export function WhoDoesWhat({ page, plan, context, evaluation, library, onEdit, onClose }: Props) {
  const [part, setPart] = useState<'sheet' | 'homes'>('sheet');
  const children = page.children.filter(isExpected);
  return (
    <Dialog open onClose={onClose} aria-labelledby="who-title" maxWidth="lg" fullWidth>
      <DialogTitle id="who-title" sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Trans>Who does what</Trans>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={part}
          aria-label={t`Part`}
          onChange={(_event, value: 'sheet' | 'homes' | null) => {
            if (value) setPart(value);
          }}
        >
          <ToggleButton value="sheet">
            <Trans>Versions</Trans>
          </ToggleButton>
          <ToggleButton value="homes">
            <Trans>For the parents</Trans>
          </ToggleButton>
        </ToggleButtonGroup>
      </DialogTitle>
      <DialogContent sx={{ pb: 1 }}>
        {children.length === 0 && (
          <Typography>
            <Trans>Nobody is expected. Children are enrolled on their pages.</Trans>
          </Typography>
        )}
        {children.length > 0 && part === 'sheet' && (
          <Sheet page={page} evaluation={evaluation} library={library} people={children} onEdit={onEdit} />
        )}
        {part === 'homes' && (
          <ForTheParents session={page.class} plan={plan} context={context} evaluation={evaluation} library={library} people={children} />
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="contained" onClick={onClose}>
          <Trans>Close</Trans>
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Sheet({
  page,
  evaluation,
  library,
  people,
  onEdit,
}: Omit<Props, 'onClose' | 'plan' | 'context'> & { readonly people: readonly ExpectedChild[] }) {
  const [chosen, setChosen] = useState<Version | null>(null);
  const byCell = new Map(evaluation.versions.map((version) => [`${version.itemId} ${version.childId}`, version]));
  // what everybody does the same in one version is not worth a line
  const items = firstRounds(evaluation.timeline.items).filter(
    ({ item, movement }) =>
      Object.keys(movement.tiers).length > 0 || evaluation.versions.some(({ itemId, tier }) => itemId === item.id && tier !== 'core'),
  );
  const current = chosen && byCell.get(`${chosen.itemId} ${chosen.childId}`);
  const setTier = (tier: TierName | 'as-reckoned'): void => {
    if (current) onEdit([{ kind: 'set-tier-by-hand', item: current.itemId, child: current.childId, tier }]);
  };
  return (
    <>
      <Box role="status" sx={{ minHeight: 46, mb: 1, display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        {current ? (
          <>
            <Box sx={{ flex: 1, minWidth: 260 }}>
              <strong>{people.find(({ id }) => id === current.childId)?.name}</strong> · {versionWords(current, library, page.syllabus)}
            </Box>
            {tierNames.map((tier) => (
              <Button
                key={tier}
                size="small"
                variant={current.isByHand && current.tier === tier ? 'contained' : 'outlined'}
                onClick={() => {
                  setTier(tier);
                }}
              >
                {tier}
              </Button>
            ))}
            <Button
              size="small"
              variant="outlined"
              disabled={!current.isByHand}
              onClick={() => {
                setTier('as-reckoned');
              }}
            >
              <Trans>Automatic</Trans>
            </Button>
          </>
        ) : (
          <Box sx={{ color: palette.soft }}>
            <Trans>Choose a field to see why, and to set it by hand.</Trans>
          </Box>
        )}
      </Box>
      <Box sx={{ overflow: 'auto', maxHeight: 480 }} tabIndex={0} role="region" aria-label={t`Versions`}>
        <Box
          component="table"
          sx={{ borderCollapse: 'collapse', fontSize: 13.5, '& th, & td': { border: `1px solid ${palette.line}`, p: 0 } }}
        >
          <thead>
            <tr>
              <Box
                component="th"
                sx={{ textAlign: 'left', px: '8px !important', position: 'sticky', left: 0, backgroundColor: palette.paper }}
              >
                <Trans>Item</Trans>
              </Box>
              {people.map(({ id, name, gradeName }) => (
                <Box component="th" key={id} sx={{ px: '6px !important', fontWeight: 700, minWidth: 74 }}>
                  {name}
                  <Box sx={{ fontWeight: 400, fontSize: 12, color: palette.soft }}>{gradeName ?? page.syllabus?.startsAs}</Box>
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map(({ item, movement }) => (
              <tr key={item.id}>
                <Box
                  component="th"
                  scope="row"
                  sx={{
                    textAlign: 'left',
                    fontWeight: 400,
                    px: '8px !important',
                    whiteSpace: 'nowrap',
                    position: 'sticky',
                    left: 0,
                    backgroundColor: palette.paper,
                  }}
                >
                  {movement.name}
                </Box>
                {people.map(({ id }) => {
                  const version = byCell.get(`${item.id} ${id}`);
                  const look = cells[version?.tier ?? 'none'];
                  return (
                    <td key={id} style={{ backgroundColor: look.paper }}>
                      <Box
                        component="button"
                        type="button"
                        title={version ? versionWords(version, library, page.syllabus) : ''}
                        data-does={version?.tier ?? 'none'}
                        aria-pressed={current === version}
                        onClick={() => {
                          setChosen(version ?? null);
                        }}
                        sx={{
                          width: '100%',
                          minHeight: 26,
                          border: 0,
                          background: 'none',
                          font: 'inherit',
                          color: look.ink,
                          cursor: 'pointer',
                          fontWeight: version?.isByHand ? 700 : 400,
                          outline: current === version && version ? `2px solid ${palette.primary}` : 'none',
                          outlineOffset: '-2px',
                        }}
                      >
                        {version?.tier === 'instead' ? (
                          <span style={{ fontSize: 11.5, lineHeight: 1.15 }}>{library.get(version.movement)?.name ?? look.word}</span>
                        ) : (
                          look.word
                        )}
                        {version?.isByHand ? ' ✎' : ''}
                      </Box>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </>
  );
}
