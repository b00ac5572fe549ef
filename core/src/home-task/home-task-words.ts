import type { HomeTask } from '../class-plan/led.js';
import { doseText } from '../movement/dose-text.js';
import type { Library } from '../movement/library.js';
import { sidesText } from '../movement/sides.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import type { ChildInClass } from '../versions/child-in-class.js';
import { homeTaskBar, homeTaskSeconds, type HomeTaskBar } from './home-task.js';

/** Why a child leaves something of the home task out, for the instructor. */
export function homeTaskBarWords(bar: HomeTaskBar): string {
  switch (bar.kind) {
    case 'not-for-home':
      return 'not for home';
    case 'adult':
      return 'no adult at hand';
    case 'home':
      return bar.need === 'space' ? 'not enough room' : bar.need === 'surface' ? 'the floor is not for it' : `home lacks it: ${bar.need}`;
    case 'health':
      return 'spared for now';
    case 'age':
      return 'too young for it';
    case 'prerequisite':
      return 'not ready for it';
  }
}

/**
 * The home task as a family reads it: what once a day, about how long, and what is told with it.
 * @param of given, only what this child may do at home
 * @returns no line where there is no task
 */
export function homeTaskLines(
  homeTask: HomeTask | undefined,
  library: Library,
  of?: { readonly child: ChildInClass; readonly ladder: Syllabus | null },
): readonly string[] {
  if (!homeTask) return [];
  const tasks = homeTask.tasks.filter(({ movement: slug }) => {
    const movement = library.get(slug);
    return movement !== undefined && (!of || homeTaskBar(movement, of.child, of.ladder) === null);
  });
  const minutes = Math.max(1, Math.round(homeTaskSeconds({ ...homeTask, tasks }) / 60));
  return [
    ...(tasks.length > 0 ? [`Until next time, once a day, about ${String(minutes)} min:`] : []),
    ...tasks.map(
      ({ movement, dose, sides }) =>
        `${[library.get(movement)?.name ?? movement, doseText(dose), sidesText(sides)].filter((word) => word !== '').join(', ')}.`,
    ),
    ...(homeTask.note === '' ? [] : [homeTask.note]),
  ];
}
