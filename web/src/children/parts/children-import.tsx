import { t } from '@lingui/core/macro';
import type { ChildrenImportResponse } from '@leiter/contract';
import { ImportDialog, type ImportTold } from '../../shared/import-dialog';
import { lookAtChildren, takeInChildren, undoChildrenImport } from '../../queries/children.queries';

/** Takes in a list of children from a spreadsheet. */
export function ChildrenImport({ onClose }: { readonly onClose: () => void }) {
  return (
    <ImportDialog<string>
      title={t`Import a list of children`}
      about={t`A spreadsheet (CSV) with the columns name, birth date, group, grade and lead side. Of the family name only the initial is kept. It says nothing of a home: until you do, Leiter takes tiles, 2 × 1.5 m and no adult at hand.`}
      accept=".csv,.txt,text/csv"
      read={(text) => (text.trim() === '' ? { why: t`This file is empty.` } : { input: text })}
      look={async (text) => told(await lookAtChildren(text))}
      takeIn={async (text) => told(await takeInChildren(text))}
      undo={undoChildrenImport}
      onClose={onClose}
    />
  );
}

function told({ lines, importId }: ChildrenImportResponse): ImportTold {
  const count = (what: 'added' | 'changed' | 'same'): string => String(lines.filter((line) => line.what === what).length);
  return {
    summary: t`${count('added')} added, ${count('changed')} changed, ${count('same')} the same already`,
    lines: lines
      .filter(({ what }) => what !== 'same')
      .map(({ row, name, what, fields }) => t`row ${row}: ${name} ${what}${fields.length > 0 ? ` (${fields.join(', ')})` : ''}`),
    importId,
  };
}
