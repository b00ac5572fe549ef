import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { countWord, groupBy, termWords, type CountLanguage, type Word } from '@leiter/core';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useSyllabuses } from '../queries/syllabus.queries';
import { Figure } from '../shared/figure';
import { Loaded, Page as Frame, Panel } from '../shared/page';
import { OnPaper } from '../shared/on-paper';
import { palette } from '../shared/palette';
import { onPhone } from '../shared/screen';
import { SayButton } from './parts/say-button';

/** Nothing of the screen but the lists goes on paper. */
const notOnPaper = { '@media print': { display: 'none' } } as const;

/** The words of a programme: what they are called, how one says them, what they mean, as a figure and by the voice; on paper by grade. */
function TermsPage() {
  const { programme = '' } = useParams();
  const navigate = useNavigate();
  const movements = useMovements();
  const library = useLibrary();
  const syllabuses = useSyllabuses();
  const ladder = syllabuses.data?.find((one) => one.programme === programme) ?? null;
  const words = useMemo(() => termWords(library, programme, ladder), [library, programme, ladder]);
  const gradeName = (slug: string | null): string => ladder?.grades.find((grade) => grade.slug === slug)?.name ?? t`In no grade`;
  const title = t`Terms of ${ladder?.programmeName ?? programme}`;
  const lists = (
    <>
      {[...groupBy(words, ({ grade }) => grade)].map(([grade, own]) => (
        <Box component="section" key={grade ?? ''} aria-label={gradeName(grade)} sx={{ mb: 3, breakInside: 'avoid-page' }}>
          <Typography variant="h2" sx={{ mb: 0.5 }}>
            {gradeName(grade)}
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {own.map((word) => (
              <WordLine key={word.movement.slug} word={word} />
            ))}
          </Box>
        </Box>
      ))}
      <Counting />
    </>
  );
  return (
    <Frame
      title={title}
      about={plural(words.length, { one: '# word', other: '# words' })}
      actions={
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', ...notOnPaper }}>
          <ToggleButtonGroup
            exclusive
            value={programme}
            aria-label={t`Programme`}
            onChange={(_event, next: string | null) => {
              if (next !== null) void navigate(`/terms/${next}`);
            }}
          >
            {(syllabuses.data ?? []).map((one) => (
              <ToggleButton key={one.programme} value={one.programme}>
                {one.programmeName}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Button
            variant="outlined"
            onClick={() => {
              window.print();
            }}
          >
            <Trans>On paper, by grade</Trans>
          </Button>
          <Button component={Link} to={`/terms/${programme}/quiz`} variant="contained" disabled={words.length < 2}>
            <Trans>Quiz of ten</Trans>
          </Button>
        </Box>
      }
    >
      <OnPaper name="terms">
        {() => (
          <>
            <Typography variant="h1" sx={{ mb: 1.5 }}>
              {title}
            </Typography>
            {lists}
          </>
        )}
      </OnPaper>
      <Panel label={t`Terms`}>
        <Loaded query={movements} what={t`words`}>
          {() => (words.length === 0 ? <Trans>No movement of this programme has a term, and its ladder asks nothing yet.</Trans> : lists)}
        </Loaded>
      </Panel>
    </Frame>
  );
}

function WordLine({ word: { movement, text, sayIt, meaning, variants, spoken } }: { readonly word: Word }) {
  const isSaidTwice = meaning.toLowerCase() === movement.name.toLowerCase();
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: '56px minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1.4fr) 76px',
        alignItems: 'center',
        columnGap: 2,
        borderTop: `1px solid ${palette.line}`,
        py: 0.5,
        breakInside: 'avoid',
        [onPhone]: { gridTemplateColumns: '48px minmax(0, 1fr) 78px', rowGap: 0 },
        '@media print': { gridTemplateColumns: '48px minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1.4fr)' },
      }}
    >
      <Figure movement={movement} size={52} />
      <Box sx={{ fontWeight: 700, fontSize: 17, overflowWrap: 'anywhere' }}>
        <Link to={`/library/${movement.slug}`}>{text}</Link>
        {variants.map((variant) => (
          <Box key={variant.text} sx={{ fontWeight: 400, fontSize: 13.5, lineHeight: 1.3, color: palette.soft }}>
            {t`${variant.where}: ${variant.text}`}
          </Box>
        ))}
      </Box>
      <Box sx={{ color: palette.soft, [onPhone]: { gridColumn: 2, gridRow: 2 } }}>{sayIt ?? ''}</Box>
      <Box sx={{ [onPhone]: { gridColumn: 2, gridRow: 3 } }}>
        {text === movement.name ? meaning : isSaidTwice ? movement.name : t`${movement.name}: ${meaning}`}
      </Box>
      <Box sx={{ [onPhone]: { gridColumn: 3, gridRow: 1 }, ...notOnPaper }}>
        <SayButton words={[spoken]} label={t`Say ${text}`}>
          {t`Say it`}
        </SayButton>
      </Box>
    </Box>
  );
}

const languages: readonly { readonly language: CountLanguage; readonly name: string }[] = [
  { language: 'en', name: t`English` },
  { language: 'ja', name: t`Japanese` },
  { language: 'ko', name: t`Korean` },
  { language: 'fr', name: t`French` },
];
const ten = Array.from({ length: 10 }, (_, index) => index + 1);

/** One to ten in every language that a class can be counted in. */
function Counting() {
  return (
    <Box component="section" aria-label={t`Counting`} sx={{ mb: 2, breakInside: 'avoid' }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Counting to ten</Trans>
      </Typography>
      {languages.map(({ language, name }) => {
        const words = ten.map((number) => ({ text: countWord(number, language), language }));
        return (
          <Box
            key={language}
            sx={{ display: 'flex', alignItems: 'center', gap: 2, borderTop: `1px solid ${palette.line}`, py: 0.75, flexWrap: 'wrap' }}
          >
            <Box sx={{ width: 90, fontWeight: 700 }}>{name}</Box>
            <Box lang={language} sx={{ flex: 1, minWidth: 220 }}>
              {words.map(({ text }) => text).join(' · ')}
            </Box>
            <Box sx={notOnPaper}>
              <SayButton words={words} label={t`Count in ${name}`}>
                {t`Say it`}
              </SayButton>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

export { TermsPage as Page };
