import { ageBandOf, meanAge, type AgeBand } from '@leiter/core';
import { createContext, type ReactNode } from 'react';

/** The ages of those for whom figures are drawn: a child of five has a larger head and shorter legs than one of twelve. */
export const FigureAge = createContext<AgeBand>('7-9');

/** Draws the figures below as bodies of a group's age. @param them its children; of nobody: as of eight */
export function FiguresFor({ them, children }: { readonly them: readonly { readonly ageYears: number }[]; readonly children: ReactNode }) {
  const band = them.length === 0 ? '7-9' : ageBandOf(meanAge(them.map(({ ageYears }) => ageYears)));
  return <FigureAge value={band}>{children}</FigureAge>;
}
