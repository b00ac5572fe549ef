import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassPageResponse } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useWatch } from '../marking/use-watch';
import { LoadedClass } from '../queries/loaded-class';
import { useGroupBoard } from '../queries/record.queries';
import { palette } from '../shared/palette';
import { RemotePad } from './parts/remote-pad';
import { useStageView, type StageDoor } from './parts/use-stage-view';

/** The device of somebody who helps in a class: with a sign-in of its own, so that its marks are its own. */
function BesidePage() {
  const { id = '' } = useParams();
  return <LoadedClass id={id}>{(page, library) => <Beside page={page} library={library} />}</LoadedClass>;
}

function Beside({ page, library }: { readonly page: ClassPageResponse; readonly library: Library }) {
  const { id, groupId, groupName } = page.class;
  const board = useGroupBoard(groupId).data;
  const door = useMemo<StageDoor>(
    () => ({ eventsPath: `/api/classes/${id}/stage/events`, pressesPath: `/api/classes/${id}/presses` }),
    [id],
  );
  const beside = useStageView(door);
  const told = beside.view?.stage?.watch ?? null;
  const side = told?.side === 'left' || told?.side === 'right' ? told.side : null;
  const watch = useWatch(page, board, library, told ? (library.get(told.movement) ?? null) : null, side);
  useEffect(() => {
    document.title = t`${groupName}, beside – Leiter`;
  }, [groupName]);
  return (
    <RemotePad
      beside={beside}
      watching={
        watch && {
          name: watch.movement.name,
          side: watch.side,
          children: watch.rows.map(({ cell, ...child }) => ({
            ...child,
            mark: cell.mark?.mark ?? null,
            isWaiting: cell.mark?.isWaiting ?? false,
          })),
        }
      }
      onMark={(childId, mark) => {
        const cell = watch?.rows.find((row) => row.id === childId)?.cell;
        if (!cell) return;
        if (mark === null) watch.takeBack(cell);
        else watch.change(cell, { kind: 'mark', mark });
      }}
      wayBack={
        <Link to={`/classes/${id}`} style={{ color: palette.nightSoft }}>
          <Trans>The class</Trans>
        </Link>
      }
    />
  );
}

export { BesidePage as Page };
