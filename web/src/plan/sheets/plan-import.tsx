import { plural, t } from '@lingui/core/macro';
import type { PlanImportResponse } from '@leiter/contract';
import { ImportDialog, type ImportTold } from '../../shared/import-dialog';
import { takeInPlan, undoPlanImport } from '../../queries/class.queries';

interface Props {
  readonly classId: string;
  readonly version: number;
  readonly onTaken: () => void;
  readonly onClose: () => void;
}

interface Written {
  readonly sections: readonly { readonly items: readonly object[] }[];
  readonly lengthMinutes: number;
}

/** Puts the running order of a plan file into the class. */
export function PlanImport({ classId, version, onTaken, onClose }: Props) {
  return (
    <ImportDialog<Written>
      title={t`Import a plan file`}
      about={t`A leiter-plan/1 file replaces the running order of this class; movements that your library does not have come with it. Ctrl Z takes it back.`}
      accept=".json,application/json"
      read={readFile}
      look={async (file) => told(file, await takeInPlan(classId, { version, file, isDryRun: true }))}
      takeIn={async (file) => {
        const answer = await takeInPlan(classId, { version, file, isDryRun: false });
        onTaken();
        return told(file, answer);
      }}
      undo={async (importId) => {
        await undoPlanImport(classId, importId);
        onTaken();
      }}
      onClose={onClose}
    />
  );
}

function readFile(text: string): { readonly input: Written } | { readonly why: string } {
  try {
    const read: unknown = JSON.parse(text);
    const isPlan = typeof read === 'object' && read !== null && 'format' in read && read.format === 'leiter-plan/1';
    // what is in it is looked at by the server, field by field
    return isPlan ? { input: read as unknown as Written } : { why: t`This is not a leiter-plan/1 file.` };
  } catch {
    return { why: t`This file is not JSON.` };
  }
}

function told({ sections, lengthMinutes }: Written, { addedMovements, importId }: PlanImportResponse): ImportTold {
  const items = sections.reduce((sum, section) => sum + section.items.length, 0);
  return {
    summary: t`a running order of ${plural(items, { one: '# item', other: '# items' })} for ${lengthMinutes} minutes`,
    lines: [
      t`The running order of this class becomes that of the file.`,
      ...addedMovements.map((slug) => t`“${slug}” comes into the library.`),
    ],
    importId,
  };
}
