import { figuresWith, practiceFigures, type FigureKey, type OwnFigure } from '#core/figures'
import { recipesOf, type House } from '#core/house'
import { materials } from '#core/kit'
import { figure, type Figure } from '#core/reasons'
import { extraFigures, figuresIn, pieceKinds } from '#core/recipe'
import { change, inHouse, type Change } from '#core/workshop'

/** A figure of a house: what practice says or we estimate, and what holds here. */
export interface HouseFigure {
  key: string
  practice: Figure
  now: Figure
}

/** Every figure that a house can set: those of no single method, prices, and those of the methods and its own recipes. */
export function figureList(house: Pick<House, 'recipes' | 'figures'>): HouseFigure[] {
  const figures = figuresWith(house.figures)
  const newest = recipesOf({ ...(house.recipes && { recipes: house.recipes }) }).filter(
    (r, _i, all) => !all.some((x) => x.id === r.id && x.version > r.version),
  )
  const practice: [string, Figure][] = [
    ...(Object.keys(practiceFigures) as FigureKey[]).map((k): [string, Figure] => [k, practiceFigures[k]]),
    ...Object.entries(materials).flatMap(([id, m]) =>
      (id === 'blank' ? pieceKinds.map((k) => `blank-${k.id}`) : [id]).flatMap((name) =>
        m.packs.map((p): [string, Figure] => [`price.${name}.${p.size}`, figure(p.priceMinor, 'minor', 'E')]),
      ),
    ),
    ...extraFigures().map((f): [string, Figure] => [f.key, f.figure]),
    ...newest.flatMap((r) => figuresIn(r).map((f): [string, Figure] => [f.key, f.figure])),
  ]
  return practice.map(([key, is]) => ({ key, practice: is, now: figures.of(key, is) }))
}

/** The changes that give a figure a house's own value, or take it back to practice. */
export function setFigure(house: House, key: string, own: OwnFigure | null): Change[] {
  if (house.figures || own === null) return [change(house, inHouse.figures(key), own)]
  return [change(house, inHouse.figures, { [key]: own })]
}

/** One of them, by its key; undefined when nothing is called so. */
export const houseFigure = (house: Pick<House, 'recipes' | 'figures'>, key: string): HouseFigure | undefined =>
  figureList(house).find((f) => f.key === key)
