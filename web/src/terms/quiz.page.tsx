import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { quizOf, quizWays, termWords, type Question, type QuizWay, type Word } from '@leiter/core';
import { useMemo, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { useLibrary } from '../queries/library.queries';
import { useSyllabuses } from '../queries/syllabus.queries';
import { DarkSelect } from '../shared/dark-select';
import { Figure } from '../shared/figure';
import { headingFont, palette } from '../shared/palette';
import { SayButton } from './parts/say-button';

const wayWords: Readonly<Record<QuizWay | 'all', string>> = {
  all: t`everything in turn`,
  meaning: t`what it means`,
  word: t`what it is called`,
  ear: t`by ear`,
};

/** Ten questions about the words of a programme, large enough to be shared in a class; one answers by finger or by 1 to 4. */
function QuizPage() {
  const { programme = '' } = useParams();
  const library = useLibrary();
  const syllabuses = useSyllabuses().data;
  const ladder = syllabuses?.find((one) => one.programme === programme) ?? null;
  const words = useMemo(() => (syllabuses ? termWords(library, programme, ladder) : []), [library, syllabuses, programme, ladder]);
  const [upTo, setUpTo] = useState('');
  const [way, setWay] = useState<QuizWay | 'all'>('all');
  const [seed, setSeed] = useState(() => Math.floor(performance.timeOrigin + performance.now()));
  const [given, setGiven] = useState<readonly Word[]>([]);
  const chosen = useMemo(() => {
    const last = ladder?.grades.findIndex(({ slug }) => slug === upTo) ?? -1;
    if (last < 0) return words;
    const known = new Set(ladder?.grades.slice(0, last + 1).map(({ slug }) => slug));
    return words.filter(({ grade }) => grade !== null && known.has(grade));
  }, [words, ladder, upTo]);
  const questions = useMemo(() => quizOf(chosen, way === 'all' ? quizWays : [way], seed), [chosen, way, seed]);
  const [isShown, setShown] = useState(false);
  const at = isShown ? given.length - 1 : given.length;
  const question = questions[at];
  const answer = (choice: Word | undefined): void => {
    if (isShown || !choice || !question) return;
    setGiven([...given, choice]);
    setShown(true);
  };
  const go = (): void => {
    if (isShown) setShown(false);
  };
  const again = (): void => {
    setSeed(seed + 1);
    setGiven([]);
    setShown(false);
  };
  useHotkeys(['1', '2', '3', '4'], ({ key }) => {
    answer(question?.choices[Number(key) - 1]);
  });
  useHotkeys(['space', 'arrowright', 'pagedown'], go, { preventDefault: true });
  const right = questions.filter(({ asked }, index) => given[index] === asked).length;
  return (
    <Box
      component="main"
      sx={{
        height: '100%',
        overflowY: 'auto',
        backgroundColor: palette.night,
        color: palette.cream,
        p: { xs: 2, sm: '28px 48px' },
        display: 'flex',
        flexDirection: 'column',
        '& *:focus-visible': { outlineColor: palette.cream },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 2 }}>
        <Box component="h1" sx={{ m: 0, fontFamily: headingFont, fontSize: 30, mr: 'auto' }}>
          {t`Terms of ${ladder?.programmeName ?? programme}`}
        </Box>
        <DarkSelect
          label={t`Words of the grades up to`}
          value={upTo}
          options={[['', t`all words`], ...(ladder?.grades.map(({ slug, name }) => [slug, t`up to ${name}`] as const) ?? [])]}
          onChoose={(next) => {
            setUpTo(next);
            again();
          }}
        />
        <DarkSelect
          label={t`What is asked`}
          value={way}
          options={(['all', ...quizWays] as const).map((one) => [one, wayWords[one]] as const)}
          onChoose={(next) => {
            setWay(next as QuizWay | 'all');
            again();
          }}
        />
        <Button component={Link} to={`/terms/${programme}`} variant="outlined" sx={{ color: palette.cream, borderColor: palette.soft }}>
          <Trans>To the terms</Trans>
        </Button>
      </Box>
      {syllabuses && library.size > 0 && questions.length === 0 && (
        <Box sx={{ fontSize: 24 }}>
          <Trans>Too few words for a quiz: choose more grades.</Trans>
        </Box>
      )}
      {question ? (
        <Asked
          key={at}
          question={question}
          number={at + 1}
          of={questions.length}
          given={isShown ? given[at] : undefined}
          onAnswer={answer}
          onGo={go}
        />
      ) : (
        questions.length > 0 && <Result questions={questions} given={given} right={right} onAgain={again} />
      )}
    </Box>
  );
}

function Asked({
  question: { way, asked, choices },
  number,
  of,
  given,
  onAnswer,
  onGo,
}: {
  readonly question: Question;
  readonly number: number;
  readonly of: number;
  /** What was answered; undefined as long as nothing was. */
  readonly given: Word | undefined;
  readonly onAnswer: (word: Word) => void;
  readonly onGo: () => void;
}) {
  const isOver = given !== undefined;
  const prompt: Readonly<Record<QuizWay, ReactNode>> = {
    meaning: <Big>{asked.text}</Big>,
    word: (
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'center' }}>
        <Figure movement={asked.movement} size={190} tone="night" />
        <Box sx={{ fontSize: 30, lineHeight: 1.3 }}>{asked.meaning}</Box>
      </Box>
    ),
    ear: (
      <SayButton words={[asked.spoken]} label={t`Say it again`} isLarge tone="night">
        {t`Listen`}
      </SayButton>
    ),
  };
  const asks: Readonly<Record<QuizWay, string>> = {
    meaning: t`What does it mean?`,
    word: t`What is it called?`,
    ear: t`What did you hear?`,
  };
  return (
    <>
      <Box role="status" sx={{ fontSize: 22, color: palette.nightSoft }}>{t`${number} of ${of} · ${asks[way]}`}</Box>
      <Box sx={{ minHeight: 200, display: 'flex', alignItems: 'center', my: 1 }}>{prompt[way]}</Box>
      <Box
        component="ol"
        aria-label={t`Answers`}
        sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 1.5 }}
      >
        {choices.map((choice, index) => {
          const isRight = isOver && choice === asked;
          const isWrong = isOver && choice === given && choice !== asked;
          return (
            <li key={choice.movement.slug}>
              <Box
                component="button"
                type="button"
                disabled={isOver}
                onClick={() => {
                  onAnswer(choice);
                }}
                sx={{
                  width: '100%',
                  minHeight: 84,
                  display: 'flex',
                  alignItems: 'center',
                  gap: 2,
                  textAlign: 'left',
                  font: 'inherit',
                  fontSize: 24,
                  lineHeight: 1.25,
                  p: '10px 18px',
                  cursor: isOver ? 'default' : 'pointer',
                  color: isRight ? palette.night : palette.cream,
                  backgroundColor: isRight ? palette.glow : palette.nightShade,
                  border: `2px ${isWrong ? 'dashed' : 'solid'} ${isWrong ? palette.cream : palette.soft}`,
                  borderRadius: '6px',
                }}
              >
                <Box component="span" sx={{ fontFamily: headingFont, opacity: 0.75 }}>
                  {String(index + 1)}
                </Box>
                {way === 'ear' && (
                  <Figure
                    movement={choice.movement}
                    size={64}
                    tone={isRight ? 'day' : 'night'}
                    behind={isRight ? palette.glow : palette.nightShade}
                  />
                )}
                <span>{way === 'word' ? choice.text : way === 'meaning' ? choice.meaning : choice.movement.name}</span>
                {isRight && <Box component="span" sx={{ ml: 'auto', fontWeight: 700 }}>{t`right`}</Box>}
                {isWrong && <Box component="span" sx={{ ml: 'auto' }}>{t`not this one`}</Box>}
              </Box>
            </li>
          );
        })}
      </Box>
      {isOver && (
        <Box role="status" sx={{ mt: 2.5, display: 'flex', alignItems: 'center', gap: 2.5, flexWrap: 'wrap', fontSize: 24 }}>
          <Box>
            <strong>{asked.text}</strong>
            {asked.sayIt !== null && <span style={{ color: palette.nightSoft }}> {asked.sayIt}</span>} – {asked.meaning}
          </Box>
          <SayButton words={[asked.spoken]} label={t`Say ${asked.text}`} tone="night">
            {t`Say it`}
          </SayButton>
          <Button
            variant="contained"
            size="large"
            autoFocus
            onClick={onGo}
            sx={{ ml: 'auto', backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } }}
          >
            {number === of ? t`How did we do?` : t`Next question`}
          </Button>
        </Box>
      )}
    </>
  );
}

function Result({
  questions,
  given,
  right,
  onAgain,
}: {
  readonly questions: readonly Question[];
  readonly given: readonly Word[];
  readonly right: number;
  readonly onAgain: () => void;
}) {
  const missed = questions.filter(({ asked }, index) => given[index] !== asked);
  return (
    <Box component="section" aria-label={t`Result`}>
      <Big>{t`${right} of ${questions.length} right`}</Big>
      {missed.length > 0 && (
        <Box sx={{ fontSize: 22, mt: 2 }}>
          <Trans>To look at again:</Trans>
          <Box component="ul" sx={{ mt: 0.5 }}>
            {missed.map(({ asked }) => (
              <li key={asked.movement.slug}>{t`${asked.text} – ${asked.meaning}`}</li>
            ))}
          </Box>
        </Box>
      )}
      <Button
        variant="contained"
        size="large"
        autoFocus
        onClick={onAgain}
        sx={{ mt: 2, backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } }}
      >
        <Trans>Ten others</Trans>
      </Button>
    </Box>
  );
}

function Big({ children }: { readonly children: ReactNode }) {
  return <Box sx={{ fontFamily: headingFont, fontSize: { xs: 40, sm: 72 }, lineHeight: 1.1, overflowWrap: 'anywhere' }}>{children}</Box>;
}

export { QuizPage as Page };
