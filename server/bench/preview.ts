import { benchClub, tell, timed } from './bench-club.js';

/** Measures judging a plan over HTTP, for children that are told with it; prints one JSON line per row. */
const club = await benchClub();
const { movements } = (await club.ask('GET', 'library/export')) as { readonly movements: readonly { readonly slug: string }[] };
const kinds = ['warm-up', 'drills', 'cool-down'] as const;
const plan = {
  format: 'leiter-plan/1',
  programme: 'gymnastics',
  lengthMinutes: 60,
  startsAt: '16:30',
  sections: kinds.map((kind, section) => ({
    kind,
    items: Array.from({ length: 15 }, (_, index) => ({ movement: movements[((section * 15 + index) * 7) % movements.length]?.slug ?? '' })),
  })),
};
const children = Array.from({ length: 30 }, (_, index) => ({
  id: `child-${String(index)}`,
  birthDate: `201${String(6 + (index % 3))}-05-05`,
  grade: index % 2 === 0 ? 'reef' : null,
  leadSide: 'left',
  household: {
    surface: index % 3 === 0 ? 'tiles' : 'carpet',
    clearLengthM: 2 + (index % 3),
    clearWidthM: 1.6,
    things: ['chair'],
    adult: 'in-the-next-room',
    partner: false,
    quietHours: null,
  },
  standings: movements.slice(index, index + 60).map(({ slug }) => ({ movement: slug, mark: 'alone' })),
}));
// every third item brings its movement along, under a name of its own
const inline = {
  ...plan,
  sections: plan.sections.map(({ kind, items }) => ({
    kind,
    items: items.map(({ movement }, index) => {
      const entry = index % 3 === 0 ? movements.find(({ slug }) => slug === movement) : undefined;
      if (!entry) return { movement };
      const own = { ...entry, slug: `own-${movement}`, name: `Own ${movement}` };
      return { movement: own.slug, movementInline: own };
    }),
  })),
};
const judged = await timed(200, () => club.ask('POST', 'class-plans/preview', { plan, children }));
const judgedInline = await timed(200, () => club.ask('POST', 'class-plans/preview', { plan: inline, children }));
await club.close();
tell(`judging a plan over HTTP: 45 items, 30 children, ${String(movements.length)} movements`, judged, 60);
tell('the same with 15 movements that the plan brings along', judgedInline, 60);
