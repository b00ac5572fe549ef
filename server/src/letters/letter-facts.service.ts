import type { FamilyContact, FamilyLanguage, LetterFacts, LetterKind, LettersToWriteResponse } from '@leiter/contract';
import { openPlan, placedItems, type ClassPlan, type Library, type SectionKind } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { GradingPageService } from '../grading/grading-page.service.js';
import { findGrading } from '../grading/grading-row.js';
import { beginsAt } from '../grading/grading-times.js';
import { childrenAtHome, HomeClassesService, type ChildAtHome } from '../home/home-classes.service.js';
import { notFound, ProblemException } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import type { Asker } from '../people/asker.js';
import { StaffService } from '../staff/staff.service.js';
import { addressesOf } from './letters.service.js';

interface ClassRow {
  readonly group_id: string;
  readonly group_name: string;
  readonly programme: string;
  readonly day: string;
  readonly starts_at: string;
  readonly length_minutes: number;
  readonly taught_at: Date | null;
  readonly cancelled_because: string | null;
  readonly document: unknown;
}

interface FamilyRow {
  readonly id: string;
  readonly family_initial: string;
  readonly contacts: readonly FamilyContact[];
  readonly family_language: FamilyLanguage | null;
}

const skillKinds: ReadonlySet<string> = new Set(['basics', 'drills', 'skill', 'strength', 'combination'] satisfies readonly SectionKind[]);
/** So many things are named, not the whole class. */
const mostDone = 6;

/** What there is to tell each family of a class or of a grading day: of its child, its home, its version of the class. */
@Injectable()
export class LetterFactsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly library: LibraryService,
    private readonly homes: HomeClassesService,
    private readonly gradings: GradingPageService,
    private readonly staff: StaffService,
  ) {}

  async ofClass(asker: Asker, classId: string): Promise<Omit<LettersToWriteResponse, 'letters'>> {
    const { clubId } = asker;
    const [session] = await rows<ClassRow>(
      this.source,
      `SELECT c.group_id, t.name AS group_name, p.slug AS programme, c.day, c.starts_at, c.length_minutes, c.taught_at, c.cancelled_because, l.document
       FROM class_session c JOIN teaching_group t ON t.id = c.group_id JOIN programme p ON p.id = t.programme_id
       LEFT JOIN class_plan l ON l.class_id = c.id WHERE c.club_id = $1 AND c.id = $2`,
      [clubId, classId],
    );
    if (!session) throw notFound('class');
    if (asker.role !== 'owner' && !(await this.staff.isOfGroups(asker, [session.group_id])))
      throw new ProblemException(403, 'Another instructor teaches this group.');
    const library = await this.library.reckoned(clubId);
    const opened = session.document === null ? null : openPlan(session.document);
    const plan = opened?.ok ? opened.value : null;
    const found = await rows<FamilyRow & { readonly status: string | null }>(
      this.source,
      `SELECT c.id, c.family_initial, c.contacts, c.family_language, a.status FROM child c
       JOIN enrolment e ON e.child_id = c.id AND e.group_id = $2 AND e.from_day <= $4 AND (e.to_day IS NULL OR e.to_day > $4)
       LEFT JOIN attendance a ON a.class_id = $3 AND a.child_id = c.id
       WHERE c.club_id = $1 AND c.archived_at IS NULL ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial`,
      [clubId, session.group_id, classId, session.day],
    );
    const children = await childrenAtHome(
      this.source,
      clubId,
      found.map(({ id }) => id),
    );
    const isTaught = session.taught_at !== null;
    const families = await Promise.all(
      found.flatMap(({ status, ...family }) => {
        const child = children.get(family.id);
        const kind: LetterKind = !isTaught ? 'before' : status === 'absent' || status === null ? 'missed' : 'after';
        return child ? [this.family(clubId, { child, family, kind, plan, session, library })] : [];
      }),
    );
    const named = (slugs: readonly string[]): readonly string[] => [...new Set(slugs)].map((slug) => library.get(slug)?.name ?? slug);
    return {
      title: session.group_name,
      clubName: (await this.clubs.find(clubId)).name,
      day: session.day,
      lengthMinutes: session.length_minutes,
      focus: named(plan?.focus ?? []),
      done: plan
        ? named(placedItems(plan).flatMap(({ item, section }) => (skillKinds.has(section.kind) ? [item.movement] : []))).slice(0, mostDone)
        : [],
      kinds: isTaught ? ['after', 'missed', 'own'] : ['before', 'own'],
      families,
    };
  }

  async ofGrading(asker: Asker, gradingId: string): Promise<Omit<LettersToWriteResponse, 'letters'>> {
    const { clubId } = asker;
    const day = await findGrading(this.source, clubId, gradingId);
    const { children } = await this.gradings.page(clubId, gradingId);
    const isOpen = day.closed_at === null;
    const told = new Map(
      children.flatMap(({ childId, gradeName, entry, readiness }) => {
        const kind = entry ? 'grading' : isOpen && (readiness?.kind === 'earned' || readiness?.kind === 'on-the-day') ? 'ready' : null;
        return kind && gradeName !== null ? [[childId, { kind, gradeName, party: entry?.party ?? null } as const] as const] : [];
      }),
    );
    const found = await rows<FamilyRow & { readonly given_name: string }>(
      this.source,
      `SELECT c.id, c.given_name, c.family_initial, c.contacts, c.family_language FROM child c
       WHERE c.club_id = $1 AND c.archived_at IS NULL AND c.id = ANY($2) ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial`,
      [clubId, [...told.keys()]],
    );
    const [programme] = await rows<{ name: string }>(this.source, 'SELECT name FROM programme WHERE club_id = $1 AND slug = $2', [
      clubId,
      day.programme,
    ]);
    const own: LetterFacts[] = [];
    for (const one of found) {
      const about = told.get(one.id);
      if (!about) continue;
      // whose staff one is not is written to by others
      if (asker.role !== 'owner' && !(await this.staff.isOfChild(asker, one.id))) continue;
      own.push({
        childId: one.id,
        givenName: one.given_name,
        familyInitial: one.family_initial,
        language: one.family_language ?? 'en',
        to: addressesOf(one.contacts),
        kinds: [about.kind, 'own'],
        layOut: null,
        task: null,
        gradeName: about.gradeName,
        startsAt: beginsAt(day.starts_at, day.timetable, about.party) ?? day.starts_at.slice(0, 5),
      });
    }
    return {
      title: programme?.name ?? day.programme,
      clubName: (await this.clubs.find(clubId)).name,
      day: day.day,
      lengthMinutes: 0,
      focus: [],
      done: [],
      kinds: ['grading', 'ready', 'own'],
      // who is entered first
      families: own.toSorted((one, other) => Number(one.kinds.includes('ready')) - Number(other.kinds.includes('ready'))),
    };
  }

  private async family(
    clubId: string,
    {
      child,
      family,
      kind,
      plan,
      session,
      library,
    }: {
      readonly child: ChildAtHome;
      readonly family: FamilyRow;
      readonly kind: LetterKind;
      readonly plan: ClassPlan | null;
      readonly session: ClassRow;
      readonly library: Library;
    },
  ): Promise<LetterFacts> {
    const { programme, day } = session;
    const startsAt = session.starts_at.slice(0, 5);
    const inClass = plan ? await this.homes.inClass(clubId, child, programme, day) : null;
    const task = plan && inClass && kind !== 'before' ? await this.homes.taskIn(clubId, plan, inClass, programme, library) : null;
    return {
      childId: child.id,
      givenName: child.givenName,
      familyInitial: family.family_initial,
      language: family.family_language ?? 'en',
      to: addressesOf(family.contacts),
      kinds: [kind, 'own'],
      layOut:
        plan && inClass && kind === 'before'
          ? await this.homes.layOut(clubId, plan, inClass, { programme, startsAt, lengthMinutes: session.length_minutes }, library)
          : null,
      task: task && {
        minutes: task.minutes,
        note: task.note,
        items: task.items.map(({ movement, ...item }) => ({ name: library.get(movement)?.name ?? movement, ...item })),
      },
      gradeName: null,
      startsAt,
    };
  }
}
