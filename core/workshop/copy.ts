import type { Workshop } from './workshop'

/** A copy of a workshop to plan the next one from: what and how, and so many people of these ages. It keeps nobody's name,
 *  absence or kit, no date, nothing that was laid, no picture and no print put in its place. `fresh` makes ids. */
export function copyOf(w: Workshop, to: { title: string; houseId: string; at: string }, fresh: () => string): Workshop {
  const designs = new Map(w.designs.map((d) => [d.id, fresh()]))
  const { spares, samples, confidence, share, allow, paper, tile, copies, standIn, stations, wish } = w.choices
  return {
    id: fresh(),
    houseId: to.houseId,
    title: to.title.slice(0, 120),
    drawing: w.drawing,
    createdAt: to.at,
    archivedAt: null,
    group: {
      tables: w.group.tables,
      helpers: w.group.helpers,
      ...(w.group.agesSet && { agesSet: w.group.agesSet }),
      participants: w.group.participants.map((p) => ({
        id: fresh(),
        seat: p.seat,
        name: null,
        age: p.age,
        misses: [],
        ...(p.makes && {
          makes: Object.fromEntries(Object.entries(p.makes).flatMap(([d, n]) => (designs.has(d) ? [[designs.get(d)!, n]] : []))),
        }),
      })),
    },
    designs: w.designs.map((d) => ({ ...d, id: designs.get(d.id)! })),
    ...(w.held && { held: w.held }),
    sessions: [],
    choices: {
      spares,
      samples,
      confidence,
      share,
      split: {},
      ...(allow && { allow }),
      ...(paper && { paper }),
      ...(tile !== undefined && { tile }),
      ...(copies !== undefined && { copies }),
      ...(standIn !== undefined && { standIn }),
      ...(stations && { stations }),
      ...(wish !== undefined && { wish }),
    },
    pieces: [],
    errandsDone: [],
  }
}
