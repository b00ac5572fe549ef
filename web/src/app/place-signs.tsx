import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

const strokes = {
  /** A low sun over the floor. */
  today: (
    <>
      <path d="M2.5 17h19" />
      <path d="M6.5 17a5.5 5.5 0 0 1 11 0" />
      <path d="M12 8V5M5.4 10.4 3.3 8.3M18.6 10.4l2.1-2.1" />
    </>
  ),
  /** Seven days as strokes; one of them is a class. */
  week: (
    <>
      <path d="M3.2 18v-6M6.1 18v-6M9 18v-6M15 18v-6M17.9 18v-6M20.8 18v-6" />
      <path d="M12 18V5" strokeWidth="3.4" />
    </>
  ),
  /** Three heights at the wall. */
  children: (
    <>
      <circle cx="5" cy="12" r="2" />
      <path d="M5 14.5V20" />
      <circle cx="12" cy="8.4" r="2" />
      <path d="M12 11v9" />
      <circle cx="19" cy="4.8" r="2" />
      <path d="M19 7.4V20" />
    </>
  ),
  /** Two rails and their rungs. */
  syllabus: (
    <>
      <path d="M6.5 3.5v17M17.5 3.5v17" />
      <path d="M6.5 7.5h11M6.5 12h11M6.5 16.5h11" />
    </>
  ),
  /** A body in an arch over the floor. */
  library: (
    <>
      <path d="M4 19c0-9.5 16-9.5 16 0" />
      <circle cx="16.6" cy="7.2" r="2.1" />
      <path d="M2.5 20.5h19" />
    </>
  ),
  /** The gable of a loft. */
  club: (
    <>
      <path d="M3.5 20.5V10L12 3.5 20.5 10v10.5z" />
      <path d="M9.5 20.5v-6h5v6" />
    </>
  ),
} satisfies Readonly<Record<string, ReactNode>>;

export type PlaceName = keyof typeof strokes;

/** The sign of a place of Leiter, told apart without reading. */
export function PlaceSign({ of }: { readonly of: PlaceName }) {
  return (
    <Box
      component="svg"
      viewBox="0 0 24 24"
      aria-hidden="true"
      sx={{
        width: 24,
        height: 24,
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: 1.9,
        strokeLinecap: 'round',
        strokeLinejoin: 'round',
      }}
    >
      {strokes[of]}
    </Box>
  );
}
