import { paperOf, papers, sizeUnit, type Paper, type PaperId } from '#core/house'
import { blankMaterial, latestRecipe, pieceKinds, takesMaterial, type PieceKind } from '#core/recipe'
import { gridOnSheet } from '#core/sheets'
import { showLength } from '#core/units'
import { change, inWorkshop } from '#core/workshop'
import type { Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { finding, inDesign, remedy, scaled, takeMethod, takePiece, type Find } from './ways'

export const piece: Find = (s, plan) => {
  const found: Finding[] = []
  if (plan.print.grid.perSheet === 0 && !s.resolved.noPrint) {
    const room = { width: s.paper.widthMm - 2 * s.paper.marginMm, height: s.paper.heightMm - 2 * s.paper.marginMm }
    found.push(
      finding(
        'larger-than-paper',
        'stop',
        'piece',
        {
          paper: s.paper.name,
          pictureWidthMm: s.picture.widthMm,
          pictureHeightMm: s.picture.heightMm,
          widthMm: room.width,
          heightMm: room.height,
        },
        [fitPaper(s, room), ...largerPaper(s), remedy('tile-it', [change(s.workshop, inWorkshop.choices.tile, true)])],
      ),
    )
  }
  if (!takesMaterial(s.recipe, s.design.material)) found.push(notForThis(s))
  found.push(...beyond(s))
  return found
}

/** A picture that goes over the edge of its piece: moved to the middle where it fits, else as large as the face. */
function beyond(s: Situation): Finding[] {
  const { on } = s.design
  if (!on) return []
  const fits = (mm: number, at: number | undefined, face: number) => mm <= face + 1e-6 && (at === undefined || at + mm <= face + 1e-6)
  if (fits(on.width.mm, on.at?.xMm, s.face.widthMm) && fits(on.height.mm, on.at?.yMm, s.face.heightMm)) return []
  const middle = fits(on.width.mm, undefined, s.face.widthMm) && fits(on.height.mm, undefined, s.face.heightMm)
  return [
    finding(
      'beyond-piece',
      'stop',
      'piece',
      { widthMm: on.width.mm, heightMm: on.height.mm, faceWidthMm: s.face.widthMm, faceHeightMm: s.face.heightMm },
      [
        ...(middle ? [remedy('picture-middle', [change(s.workshop, inDesign(s).on.at, null)])] : []),
        remedy('picture-whole', [change(s.workshop, inDesign(s).on, null)]),
      ],
    ),
  ]
}

/** Tissue and ink are fuel: on a narrow candle the flame would reach them. */
export const narrowCandle: Find = (s) => {
  const wide = s.figures('candle.wide')
  if (s.kind.measure.by !== 'wrap' || s.design.width.mm >= wide.value) return []
  const size = { mm: wide.value, text: showLength(wide.value, sizeUnit(s.house)) }
  const wider = remedy('wider-candle', [change(s.workshop, inDesign(s).width, size)], { wideMm: wide.value })
  return [
    {
      ...finding('candle-narrow', 'note', 'piece', { diameterMm: s.design.width.mm, wideMm: wide.value }, [wider]),
      mark: wide.mark,
    },
  ]
}

/** The smallest paper that takes the picture whole. */
function largerPaper(s: Situation): Remedy[] {
  const takes = (p: Paper) => gridOnSheet(s.picture, p, p.marginMm, 0).perSheet > 0
  const found = (Object.keys(papers) as PaperId[])
    .map((id) => paperOf(id, s.house))
    .sort((a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm)
    .find(takes)
  return found
    ? [
        remedy('larger-paper', [change(s.workshop, inWorkshop.choices.paper, found.id)], {
          paper: found.name,
        }),
      ]
    : []
}

function fitPaper(s: Situation, room: { width: number; height: number }): Remedy {
  const { widthMm, heightMm } = s.picture
  const fits = (w: number, h: number) => Math.min(room.width / w, room.height / h)
  const scale = Math.min(1, Math.max(fits(widthMm, heightMm), fits(heightMm, widthMm)))
  return scaled(s, Math.floor(scale * (s.kind.measure.by === 'face' ? 1000 : 970)) / 10)
}

/** A method on a surface it does not take: another surface of the same kind, another method, or another piece. */
function notForThis(s: Situation): Finding {
  const surfaces = s.kind.materials.filter((m) => takesMaterial(s.recipe, m))
  const methods = s.recipes.filter((r) => takesMaterial(r, s.design.material) && latestRecipe(r.id, s.recipes) === r)
  const alike = (k: PieceKind) => Number(k.form === s.kind.form)
  const kinds = pieceKinds
    .filter((k) => k.id !== s.kind.id && k.recipe === s.recipe.id)
    .sort((a, b) => alike(b) - alike(a))
    .slice(0, 2)
  const best = [...surfaces].sort((a, b) => rankFit(s, a) - rankFit(s, b)).slice(0, 1)
  return finding(
    'method-not-for-piece',
    'stop',
    'method',
    { method: s.recipe.name, piece: s.kind.plural, material: blankMaterial(s.design.material)?.name ?? s.design.material },
    [
      ...best.map((m) =>
        remedy('take-material', [change(s.workshop, inDesign(s).material, m)], {
          material: blankMaterial(m)!.name,
        }),
      ),
      ...methods.slice(0, 3).map((r) => takeMethod(s, r.id)),
      ...(best.length ? [] : kinds.map((k) => takePiece(s, k, s.recipe))),
    ],
  )
}

const rankFit = (s: Situation, material: string) => ['best', 'good', 'hard'].indexOf(s.recipe.surfaces[material]!.fit)

export const orientation: Find = (s, plan) => {
  if (s.resolved.noPrint) return []
  const { verdict, printMirrored } = plan.print.orientation
  if (verdict === 'fine') return []
  const fix = remedy('print-as-advised', [change(s.workshop, inDesign(s).mirrored, null)], {
    mirrored: Number(printMirrored),
  })
  return [finding('reads-backwards', verdict === 'blocker' ? 'stop' : 'look', 'pictures', { lettering: Number(s.design.lettering) }, [fix])]
}
