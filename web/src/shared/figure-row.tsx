import styled from '@emotion/styled';
import type { ReactNode } from 'react';
import { palette } from './palette';

const Row = styled.div({
  display: 'flex',
  justifyContent: 'space-between',
  gap: 16,
  padding: '4px 0',
  borderTop: `1px solid ${palette.line}`,
  fontSize: 14,
  '& > dt': { color: palette.soft },
  '& > dd': { margin: 0, textAlign: 'right' },
});

/** A label and its figure, on a thin line; within a `dl`. */
export function FigureRow({ label, value }: { readonly label: ReactNode; readonly value: ReactNode }) {
  return (
    <Row>
      <dt>{label}</dt>
      <dd>{value}</dd>
    </Row>
  );
}
