import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import type { Library } from '@leiter/core';
import type { ReactNode } from 'react';
import { FiguresFor } from '../shared/figure-age';
import { Loaded } from '../shared/page';
import { useClassPage } from './class.queries';
import { useLibrary, useMovements } from './library.queries';

/** A class and the library, once both are there: what every page of a class begins with. */
export function LoadedClass({
  id,
  children,
}: {
  readonly id: string;
  readonly children: (page: ClassPageResponse, library: Library) => ReactNode;
}) {
  const page = useClassPage(id);
  const movements = useMovements();
  const library = useLibrary();
  return (
    <Loaded query={page} what={t`class`}>
      {(data) => (
        <Loaded query={movements} what={t`library`}>
          {() => <FiguresFor them={data.children}>{children(data, library)}</FiguresFor>}
        </Loaded>
      )}
    </Loaded>
  );
}
