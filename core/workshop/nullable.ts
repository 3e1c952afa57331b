import type * as v from 'valibot'
import { houseShape } from '#core/house'
import { workshopShape } from './workshop'

/** The parts of a schema that hold others. */
interface Node {
  type: string
  wrapped?: Node
  entries?: Record<string, Node>
  item?: Node
  value?: Node
}

/** Whether null is a value of its own at a path of a workshop or a house ("not said", "nobody"), and not "it is not there". Their
 *  schemas say so. */
export const mayBeNull = (path: string): boolean => shapes.some((shape) => isNullable(shape, path.split('/')))

const shapes = [workshopShape, houseShape].map((s: v.GenericSchema) => s as unknown as Node)

function isNullable(node: Node | undefined, [key, ...rest]: string[]): boolean {
  if (!node) return false
  if (node.type === 'nullable' && key === undefined) return true
  if (node.wrapped) return isNullable(node.wrapped, key === undefined ? [] : [key, ...rest])
  if (key === undefined) return false
  if (node.entries) return Object.hasOwn(node.entries, key) && isNullable(node.entries[key], rest)
  return isNullable(node.item ?? node.value, rest)
}
