import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { CheckChange } from '@leiter/contract';
import { abouts, checksTold, ruleNamed, ruleValueWords, severities, type CheckTold, type ClubRules, type Severity } from '@leiter/core';
import { useState } from 'react';
import { useChecks } from '../queries/checks.queries';
import { useMay } from '../queries/may';
import { aboutWords } from '../shared/about-words';
import { Loaded, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { onPhone } from '../shared/screen';
import { SeverityMark } from '../shared/severity-mark';
import { dateText } from '../shared/words';
import { CheckDialog } from './parts/check-dialog';

/** What the marks beside the checks say. */
const markWords: Readonly<Record<Severity, string>> = {
  stop: t`can stop a class`,
  caution: t`a caution at most`,
  hint: t`a hint`,
};

/** What is looked for in every plan, with its numbers; a club sets them as its governing body has them. */
function ChecksPage() {
  const checks = useChecks();
  const may = useMay();
  const [changing, setChanging] = useState<CheckTold | null>(null);
  return (
    <Page title={t`Checks`} about={t`what is looked for in every plan`}>
      <Panel label={t`Checks`}>
        <Typography sx={{ mb: 2, maxWidth: 720 }}>
          <Trans>
            Usual cautions only. Your governing body’s rules, your training and medical advice come first: where they say otherwise, the
            owner sets it here, for the whole club.
          </Trans>
        </Typography>
        <Box sx={{ display: 'flex', gap: 2.5, flexWrap: 'wrap', mb: 2, color: palette.soft }}>
          {severities.map((severity) => (
            <Box key={severity} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
              <SeverityMark severity={severity} />
              {markWords[severity]}
            </Box>
          ))}
        </Box>
        <Loaded query={checks} what={t`checks`}>
          {({ rules }) => (
            <>
              {abouts.map((about) => (
                <Box key={about} component="section" aria-label={aboutWords[about]} sx={{ mb: 3 }}>
                  <Typography variant="h2" sx={{ mb: 0.75 }}>
                    {aboutWords[about]}
                  </Typography>
                  <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
                    {checksTold
                      .filter((check) => check.about === about)
                      .map((check) => (
                        <CheckLine
                          key={check.id}
                          check={check}
                          rules={rules}
                          {...(may.run
                            ? {
                                onChange: () => {
                                  setChanging(check);
                                },
                              }
                            : {})}
                        />
                      ))}
                  </Box>
                </Box>
              ))}
              {changing && (
                <CheckDialog
                  check={changing}
                  rules={rules}
                  onClose={() => {
                    setChanging(null);
                  }}
                />
              )}
            </>
          )}
        </Loaded>
      </Panel>
      <Panel label={t`What was changed`} width={330}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          <Trans>What was changed</Trans>
        </Typography>
        <Loaded query={checks} what={t`changes`}>
          {({ changes }) => <Changes changes={changes} />}
        </Loaded>
      </Panel>
    </Page>
  );
}

interface LineProps {
  readonly check: CheckTold;
  readonly rules: ClubRules;
  /** Left out for who only reads. */
  readonly onChange?: () => void;
}

/** One check: how grave it is, when it speaks, by which numbers. */
function CheckLine({ check, rules, onChange }: LineProps) {
  const { id, title, says, gravest, numbers } = check;
  const off = rules.off.find((one) => one.check === id);
  return (
    <Box
      component="li"
      aria-label={title}
      sx={{
        borderTop: `1px solid ${palette.line}`,
        py: 1,
        display: 'grid',
        gridTemplateColumns: '20px minmax(0, 1fr) auto',
        columnGap: 1,
        alignItems: 'start',
      }}
    >
      <Box sx={{ pt: 0.6 }}>
        <SeverityMark severity={gravest} />
      </Box>
      <Box>
        <strong>{title}</strong>
        <Box sx={{ color: palette.soft, lineHeight: 1.35 }}>{says}</Box>
        {off && (
          <Box sx={{ color: palette.stop, fontWeight: 700 }}>
            {off.reason === '' ? t`Not looked for in this club.` : t`Not looked for in this club: ${off.reason}`}
          </Box>
        )}
        {!off &&
          numbers.map((rule) => {
            const own = rules.numbers[rule.id];
            const usual = ruleValueWords(rule.usual, rule.unit);
            return (
              <Box key={rule.id} sx={{ fontSize: 14, lineHeight: 1.45 }}>
                {rule.words}: <Box component={own === undefined ? 'span' : 'strong'}>{ruleValueWords(own ?? rule.usual, rule.unit)}</Box>
                {own !== undefined && <Box component="span" sx={{ color: palette.soft }}>{t` (usual: ${usual})`}</Box>}
              </Box>
            );
          })}
      </Box>
      {onChange && (
        <Button size="small" variant="outlined" aria-label={t`Change ${title}`} onClick={onChange} sx={{ [onPhone]: { minHeight: 44 } }}>
          <Trans>Change</Trans>
        </Button>
      )}
    </Box>
  );
}

function changeWords({ rule, to }: CheckChange): string {
  const check = checksTold.find(({ id }) => id === rule)?.title;
  if (check !== undefined) return to === 'off' ? t`${check}: no longer looked for` : t`${check}: looked for again`;
  const number = ruleNamed(rule);
  if (!number || to === 'on' || to === 'off') return rule;
  return to === 'usual'
    ? t`${number.words}: as usual again, ${ruleValueWords(number.usual, number.unit)}`
    : t`${number.words}: ${ruleValueWords(to, number.unit)}`;
}

function Changes({ changes }: { readonly changes: readonly CheckChange[] }) {
  if (changes.length === 0)
    return (
      <Typography variant="body2">
        <Trans>Nothing: all is as usual.</Trans>
      </Typography>
    );
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {changes.map((change, index) => (
        <Box
          component="li"
          key={`${change.at} ${String(index)}`}
          sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, lineHeight: 1.4 }}
        >
          {changeWords(change)}
          {change.reason !== '' && <Box>“{change.reason}”</Box>}
          <Box sx={{ fontSize: 13.5, color: palette.soft }}>
            {dateText(change.at.slice(0, 10))}
            {change.by !== '' && ` · ${change.by}`}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

export { ChecksPage as Page };
