import { t } from '@lingui/core/macro';
import type { SyllabusImportResponse, SyllabusResponse } from '@leiter/contract';
import { isChange, type LadderLine } from '@leiter/core';
import { ImportDialog, type ImportTold } from '../../shared/import-dialog';
import { jsonOf } from '../../shared/read-file';
import { lookAtSyllabus, takeInSyllabus, undoSyllabusImport, type SyllabusInput } from '../../queries/syllabus.queries';
import { lineWords } from '../editing/line-words';

/** Takes in ladders from a file, or the ladder that is shown from a spreadsheet. */
export function SyllabusImport({ syllabus, onClose }: { readonly syllabus: SyllabusResponse; readonly onClose: () => void }) {
  return (
    <ImportDialog<SyllabusInput>
      title={t`Import a syllabus`}
      about={t`A leiter-syllabus/1 file with any ladders, or a spreadsheet (CSV) with the ladder of ${syllabus.programmeName}, one requirement a row. What it leaves out is put away, not lost.`}
      accept=".json,.csv,.txt,application/json,text/csv"
      read={(text, fileName) => {
        const file = jsonOf(text);
        if (file !== null) return { input: { kind: 'file', file } };
        if (fileName.toLowerCase().endsWith('.json')) return { why: t`This file is not JSON.` };
        return { input: { kind: 'table', programme: syllabus.programme, text } };
      }}
      look={async (input) => told(await lookAtSyllabus(input))}
      takeIn={async (input) => told(await takeInSyllabus(input))}
      undo={undoSyllabusImport}
      onClose={onClose}
    />
  );
}

function told({ programmes, importId }: SyllabusImportResponse): ImportTold {
  const lines = programmes.flatMap((one) => one.lines);
  const count = (what: LadderLine['what']): string => String(lines.filter((line) => line.what === what).length);
  return {
    summary: t`${count('added')} added, ${count('changed')} changed, ${count('put-away')} put away, ${count('same')} the same`,
    lines: programmes.flatMap(({ name, isNew, fields, lines: own }) => [
      ...(isNew ? [t`${name}: a new programme`] : []),
      ...(fields.length > 0 ? [t`${name}: ${fields.join(', ')} changed`] : []),
      ...own.filter(isChange).map(lineWords),
    ]),
    importId,
  };
}
