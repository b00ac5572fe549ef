import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import {
  syllabusFaults,
  syllabusFaultWords,
  syllabusHints,
  type LadderGrade,
  type LadderVersion,
  type Library,
  type Movement,
} from '@leiter/core';
import { useMemo, useState } from 'react';
import { movementSearch } from '../../shared/movement-search';
import { palette } from '../../shared/palette';
import { SortableList } from '../../shared/sortable-list';
import { movedTo, withMovement, withoutRequirement, writtenDraft } from '../editing/ladder-draft';
import { RequirementEditor } from './requirement-editor';
import { NumberWord, Sentence } from './sentence';

interface Props {
  readonly grade: LadderGrade;
  readonly draft: LadderVersion;
  readonly stored: LadderVersion;
  readonly programme: string;
  readonly library: Library;
  readonly onChange: (change: (grade: LadderGrade) => LadderGrade) => void;
  readonly onRemove: () => void;
}

/** Changes one grade: its name and least numbers, what it asks for and in which order. */
export function GradeEditor({ grade, draft, stored, programme, library, onChange, onRemove }: Props) {
  const keys = grade.requirements.map(({ movement, stage }) => `${movement} ${String(stage ?? 0)}`);
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  return (
    <Box sx={{ maxWidth: 960 }}>
      <GradeFields grade={grade} onChange={onChange} onRemove={onRemove} />
      <LookAt grade={grade} draft={draft} programme={programme} library={library} />
      <AddMovement
        library={library}
        programme={programme}
        onAdd={(movement) => {
          onChange((one) => withMovement(one, movement));
        }}
      />
      <SortableList
        label={t`Requirements of ${grade.name}`}
        ids={keys}
        nameOf={(key) => nameOf(key.split(' ')[0] ?? '')}
        onMove={(from, to) => {
          onChange((one) => ({ ...one, requirements: movedTo(one.requirements, from, to) }));
        }}
      >
        {(key) => {
          const index = keys.indexOf(key);
          const requirement = grade.requirements[index];
          return (
            requirement && (
              <RequirementEditor
                requirement={requirement}
                movement={library.get(requirement.movement)}
                onChange={(changed) => {
                  onChange((one) => ({ ...one, requirements: one.requirements.map((other, at) => (at === index ? changed : other)) }));
                }}
                onRemove={() => {
                  onChange((one) => withoutRequirement(one, index, stored));
                }}
              />
            )
          );
        }}
      </SortableList>
    </Box>
  );
}

function GradeFields({ grade, onChange, onRemove }: Pick<Props, 'grade' | 'onChange' | 'onRemove'>) {
  const number = (field: 'leastWeeksInGrade' | 'leastClasses' | 'leastAgeYears', label: string) => (
    <NumberWord
      label={label}
      value={grade[field]}
      least={0}
      onChange={(value) => {
        onChange((one) => ({ ...one, [field]: value ?? 0 }));
      }}
    />
  );
  return (
    <Box sx={{ mb: 2, pt: 0.75 }}>
      <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'end', mb: 1 }}>
        <TextField
          label={t`Name of the grade`}
          value={grade.name}
          sx={{ width: 260 }}
          onChange={(event) => {
            const name = event.target.value;
            onChange((one) => ({ ...one, name }));
          }}
        />
        <Button variant="outlined" onClick={onRemove}>
          <Trans>Put the grade away</Trans>
        </Button>
      </Box>
      <Sentence label={t`Who may take it`}>
        <span>
          <Trans>A child may take it from {number('leastAgeYears', t`From years`)} years,</Trans>
        </span>
        <span>
          <Trans>after {number('leastWeeksInGrade', t`Least weeks`)} weeks in the grade before</Trans>
        </span>
        <span>
          <Trans>and {number('leastClasses', t`Least classes`)} classes.</Trans>
        </span>
      </Sentence>
    </Box>
  );
}

/** What is wrong with the grade, or wants a second look, while one changes it. */
function LookAt({ grade, draft, programme, library }: Pick<Props, 'grade' | 'draft' | 'programme' | 'library'>) {
  const faults = useMemo(
    () => syllabusFaults({ programme, grades: writtenDraft(draft) }, library).filter((fault) => fault.grade === grade.slug),
    [draft, grade.slug, library, programme],
  );
  if (faults.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label={t`What to look at`}
      sx={{ m: 0, mb: 1.5, py: 1, pl: 3, backgroundColor: palette.cautionPaper, color: palette.caution, fontSize: 14 }}
    >
      {faults.map((fault) => (
        <li key={`${fault.movement} ${fault.kind} ${fault.found}`}>
          {fault.movement === '' ? '' : `${library.get(fault.movement)?.name ?? fault.movement}: `}
          {syllabusFaultWords({ ...fault, found: library.get(fault.found)?.name ?? fault.found })}
          {syllabusHints.has(fault.kind) ? t` It can be saved all the same.` : ''}
        </li>
      ))}
    </Box>
  );
}

/** Finds a movement as one types, and asks for it. */
function AddMovement({
  library,
  programme,
  onAdd,
}: {
  readonly library: Library;
  readonly programme: string;
  readonly onAdd: (movement: Movement) => void;
}) {
  const movements = useMemo(
    () => [...library.values()].filter(({ programmes }) => programmes.length === 0 || programmes.includes(programme)),
    [library, programme],
  );
  const search = useMemo(() => movementSearch(movements), [movements]);
  const [text, setText] = useState('');
  return (
    <Autocomplete
      options={movements}
      value={null}
      inputValue={text}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ slug }) => slug}
      filterOptions={(_options, { inputValue }) => search(inputValue).slice(0, 12)}
      onInputChange={(_event, value, reason) => {
        setText(reason === 'input' ? value : '');
      }}
      onChange={(_event, movement) => {
        if (movement) onAdd(movement);
      }}
      sx={{ maxWidth: 420, mb: 1.5 }}
      renderInput={(parameters) => <TextField {...parameters} label={t`Ask for one more movement`} placeholder={t`Type its name`} />}
    />
  );
}
