import * as v from 'valibot'
import { BadInput, whereAndWhat } from '#core/reasons'
import { makeRecipe, ownRecipeShape, type OwnRecipe } from '#core/recipe'
import { workshopShape, type Workshop } from '#core/workshop'

/** Version 2 has the picture apart from its piece, its source and edge, finishing, and kits to go; a file of version 1 is read as well. */
export const workshopFormat = { format: 'imprenta-workshop', version: 2 } as const
export const planFormat = { format: 'imprenta-plan', version: 3 } as const

/** A workshop as a file: format, version, workshop. Reading it back gives the same workshop, but for its pictures: they stay with
 *  the house that they were brought to. */
export const writeWorkshop = (workshop: Workshop): string =>
  `${JSON.stringify({ ...workshopFormat, workshop: withoutPictures(workshop) }, null, 2)}\n`

function withoutPictures(workshop: Workshop): Workshop {
  const { pictures: _theirs, picturesErased: _gone, ...rest } = workshop
  return rest
}

export const recipeFormat = { format: 'imprenta-recipe', version: 1 } as const

/** A recipe of the house as a file: its differences from the method that it comes from. */
export const writeRecipe = (recipe: OwnRecipe): string => `${JSON.stringify({ ...recipeFormat, recipe }, null, 2)}\n`

/** Reads a workshop file; throws BadInput that says what, where (line and column for broken JSON) and the way out. */
export const readWorkshopFile = (text: string): Workshop => withoutPictures(readFile(text, workshopFormat, 'workshop', workshopShape))

/** Reads a recipe file and makes the recipe; a recipe that cannot be made is refused with what is wrong in it. */
export function readRecipeFile(text: string): OwnRecipe {
  const own = readFile(text, recipeFormat, 'recipe', ownRecipeShape)
  const made = makeRecipe(own)
  if ('problems' in made) throw new BadInput(made.problems[0]!, 'recipe.edits', 'Mend it where it was made, and export it again.')
  return own
}

function readFile<S extends v.GenericSchema>(
  raw: string,
  { format, version: newest }: { format: string; version: number },
  field: string,
  shape: S,
): v.InferOutput<S> {
  const file = parse(raw.replace(/^\uFEFF/, ''))
  if (typeof file !== 'object' || file === null || !('format' in file) || file.format !== format)
    throw new BadInput(
      `This is not a ${field} of Imprenta.`,
      'format',
      `Choose a file that was exported as a ${field}; its format is "${format}".`,
    )
  const version = 'version' in file ? file.version : undefined
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version > newest) {
    const reads = newest === 1 ? 'version 1' : `versions 1 to ${newest}`
    throw new BadInput(
      `The file has version ${JSON.stringify(version)}; this Imprenta reads ${reads}.`,
      'version',
      `Update Imprenta, or export the ${field} again as version ${newest}.`,
    )
  }
  const read = v.safeParse(shape, (file as Record<string, unknown>)[field])
  if (read.success) return read.output
  const { what, path, remedy } = whereAndWhat(read.issues[0])
  throw new BadInput(what, path === '(input)' ? field : `${field}.${path}`, remedy)
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (e) {
    const message = (e as Error).message
    const at = placeOf(message, text)
    const before = text.slice(0, at).split('\n')
    throw new BadInput(
      `The file is not whole JSON: ${message.split(' in JSON')[0]}.`,
      `line ${before.length}, column ${before.at(-1)!.length + 1}`,
      'Export it again, or mend that line.',
    )
  }
}

/** Where JSON broke off: as the message says, else at the start of what is none at all, else at the end. */
function placeOf(message: string, text: string): number {
  const said = /position (\d+)/.exec(message)?.[1]
  if (said !== undefined) return Number(said)
  return /^\s*[{[]/.test(text) ? text.length : 0
}
