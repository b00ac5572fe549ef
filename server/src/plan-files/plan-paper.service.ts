import type { ClassPageResponse, ExpectedChild } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { isExpected } from '@leiter/contract/who-comes';
import {
  clockText,
  circuitText,
  countsText,
  doseText,
  homeTaskLines,
  teachingText,
  evaluatePlan,
  figureMarkup,
  firstRounds,
  motionOf,
  roomFor,
  viewOf,
  safetyTalkOf,
  sidesText,
  timeOfDay,
  versionCounts,
  versionWords,
  type Evaluation,
  type Library,
  type Movement,
  type TimedItem,
  type Track,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { ClassesService } from '../classes/classes.service.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { LibraryService } from '../library/library.service.js';
import { WorkersService } from '../work/workers.service.js';

const ink = '#1D2B30';
const soft = '#5A6468';
const inks = { near: ink, far: '#93A3A6', thing: '#8A8371', line: '#17525C', paper: '#FFFFFF' } as const;

/** How many lines a page takes at the usual size; longer plans are set smaller, down to what can still be read. */
const usualLines = 30;

type Cell = object | string;

@Injectable()
export class PlanPaperService {
  constructor(
    private readonly classes: ClassesService,
    private readonly library: LibraryService,
    private readonly workers: WorkersService,
  ) {}

  /** The plan of a class as PDF: one page with the running order, one with who does what and the safety talk. */
  async paper(asker: Asker, classId: string): Promise<{ readonly pdf: Buffer; readonly name: string }> {
    const page = await this.classes.page(asker, classId);
    if (!page.stored) throw notFound('plan');
    const library = await this.library.reckoned(asker.clubId);
    const children = page.children.filter(isExpected);
    const evaluation = evaluatePlan(page.stored.plan, library, evaluationContextOf(page));
    const document = {
      pageSize: 'A4',
      pageMargins: [36, 34, 36, 30],
      defaultStyle: { font: 'text', fontSize: sizeFor(evaluation), color: ink },
      info: { title: `${page.class.groupName} ${page.class.day}` },
      content: [...runningOrder(page, evaluation, library), ...secondPage(page, evaluation, library, children)],
    };
    const pdf = Buffer.from(await this.workers.run('setPaper', { document }));
    return { pdf, name: `${page.class.groupName.replace(/[^A-Za-z0-9]+/g, '-')}-${page.class.day}.pdf` };
  }
}

function sizeFor({ timeline }: Evaluation): number {
  return Math.max(5.5, Math.min(8.5, (8.5 * usualLines) / Math.max(1, firstRounds(timeline.items).length)));
}

function nameIn(library: Library): (slug: string) => string {
  return (slug) => library.get(slug)?.name ?? slug;
}

function runningOrder(page: ClassPageResponse, evaluation: Evaluation, library: Library): readonly Cell[] {
  const { timeline } = evaluation;
  const counts = versionCounts(evaluation.versions);
  const size = sizeFor(evaluation);
  const items = firstRounds(timeline.items);
  const rows = items.map((timed, index) => {
    const before = items[index - 1];
    const isFirst = before?.section.id !== timed.section.id;
    const sides = sidesText(timed.item.sides);
    return [
      { text: timeOfDay(page.class.startsAt, timed.startSecond), bold: isFirst },
      picture(timed.movement, size * 2.6),
      {
        text: [
          { text: timed.movement.name, bold: true },
          { text: isFirst ? `   ${timed.section.kind}${musicText(timed.section.music)}` : '', color: soft },
          { text: musicText(timed.item.music), color: soft },
          { text: circuitNote(timed, before, page), color: soft },
        ],
      },
      { text: [doseText(timed.item.dose), sides, teachingText(timed.item, nameIn(library))].filter((one) => one !== '').join(', ') },
      { text: countsText(counts.get(timed.item.id), nameIn(library)), color: soft },
      { text: cueOf(timed), color: soft },
    ];
  });
  return [
    { text: page.class.groupName, font: 'heading', fontSize: 16, bold: true },
    {
      text: `${page.class.day} · ${page.class.startsAt} to ${timeOfDay(page.class.startsAt, page.class.lengthMinutes * 60)} · planned ${clockText(Math.round(timeline.totalSeconds))}`,
      color: soft,
      fontSize: 9,
      margin: [0, 0, 0, 6],
    },
    ...(page.stored?.plan.story === undefined ? [] : [{ text: `Story: ${page.stored.plan.story}`, margin: [0, 0, 0, 6] }]),
    {
      table: {
        headerRows: 0,
        widths: [30, size * 2.8, '*', 110, 100, 120],
        body: rows.length > 0 ? rows : [['', '', 'Nothing planned yet', '', '', '']],
      },
      layout: 'order',
    },
  ];
}

const musicText = (music: Track | undefined): string =>
  music ? `, to ${music.name === '' ? 'music' : `“${music.name}”`} ${clockText(music.seconds)}` : '';

/** Said at the first station; at the others, that they belong to it. */
function circuitNote({ item, rounds }: TimedItem, before: TimedItem | undefined, { stored }: ClassPageResponse): string {
  if (rounds === 1) return '';
  if (before?.item.circuit === item.circuit) return '   in the circuit';
  const circuit = stored?.plan.circuits?.find(({ id }) => id === item.circuit);
  return circuit ? `   ${circuitText(circuit)}` : '';
}

function cueOf({ item, movement }: TimedItem): string {
  const said = item.cue ?? movement.cues[0];
  return said === undefined ? '' : `“${said}”`;
}

function picture(movement: Movement, size: number): Cell {
  const motion = motionOf(movement.figure);
  if (!motion) return '';
  const view = viewOf(movement.view?.facing ?? 'front');
  const markup = figureMarkup(motion.stillFigure, motion, view, roomFor(motion, view, 'still'), inks);
  return { svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${markup}</svg>`, width: size, height: size };
}

function secondPage(
  page: ClassPageResponse,
  { timeline, versions }: Evaluation,
  library: Library,
  children: readonly ExpectedChild[],
): readonly Cell[] {
  const once = firstRounds(timeline.items);
  const said = children.map((child) => {
    const own = versions.filter(
      ({ childId, tier, bar, isByHand }) => childId === child.id && (tier !== 'core' || bar !== null || isByHand),
    );
    const lines = once.flatMap(({ item, movement }) => {
      const version = own.find(({ itemId }) => itemId === item.id);
      return version && version.tier !== 'harder' && version.tier !== 'core'
        ? [`${movement.name} – ${versionWords(version, library, page.syllabus)}`]
        : [];
    });
    const harder = once.filter(({ item }) =>
      versions.some((one) => one.childId === child.id && one.itemId === item.id && one.tier === 'harder'),
    );
    return [
      { text: child.name, bold: true },
      { text: child.gradeName ?? page.syllabus?.startsAs ?? '', color: soft },
      { text: [...new Set(lines)].join('\n') || 'the version of the day' },
      { text: [...new Set(harder.map(({ movement }) => movement.name))].join(', '), color: soft },
    ];
  });
  return [
    { text: 'Before the first movement', font: 'heading', bold: true, fontSize: 13, pageBreak: 'before', margin: [0, 0, 0, 3] },
    { ul: [...safetyTalkOf(timeline, versions, children, library)], fontSize: 9.5 },
    {
      text: 'Usual cautions only. Your governing body’s rules, your training and medical advice come first.',
      color: soft,
      fontSize: 8,
      margin: [0, 4, 0, 10],
    },
    ...(page.stored?.plan.homeTask
      ? [
          { text: 'Home task', font: 'heading', bold: true, fontSize: 13, margin: [0, 0, 0, 3] },
          { ul: [...homeTaskLines(page.stored.plan.homeTask, library)], fontSize: 9.5, margin: [0, 0, 0, 10] },
        ]
      : []),
    { text: 'Who does what', font: 'heading', bold: true, fontSize: 13, margin: [0, 0, 0, 3] },
    {
      table: {
        headerRows: 1,
        widths: [80, 70, '*', 130],
        body: [
          [
            { text: 'Child', color: soft },
            { text: 'Grade', color: soft },
            { text: 'Easier, or something else', color: soft },
            { text: 'Harder', color: soft },
          ],
          ...(said.length > 0 ? said : [['Nobody is expected', '', '', '']]),
        ],
      },
      layout: 'ruled',
      fontSize: 7.5,
    },
  ];
}
