import { shallowRef, type ShallowRef } from 'vue'
import { emptyDesk, step, type DeskEvent, type DeskState, type Unsettled } from '#core/desk'
import { ofDays } from '../days'
import { forgetIn, unsettled } from './queue'

const nothing = () => undefined

/** The state of the desk, and the one way in which it changes: an event at a time, through `core/desk`. */
export interface Heart {
  state: Readonly<ShallowRef<DeskState>>
  happen: (e: DeskEvent) => void
  /** Something that every tab of this browser has to know. */
  happenEverywhere: (e: DeskEvent) => void
  /** Hears what happens in other tabs from now on. */
  hearTabs: (after: () => void) => void
  /** Names that were erased are out of what this browser keeps. */
  forgotten: () => Promise<void>
  isTab: (tab: string) => void
}

export function makeHeart(): Heart {
  const state = shallowRef(emptyDesk(''))
  const channel = typeof BroadcastChannel === 'function' ? new BroadcastChannel('imprenta-desk') : undefined
  let forgetting: Promise<void> = Promise.resolve()

  /** One step; what has to be settled is kept in the browser's database as it changes. */
  function happen(e: DeskEvent): void {
    const before = state.value
    state.value = step(before, e)
    if (state.value.unsettled !== before.unsettled) keepUnsettled(before.unsettled, state.value.unsettled)
    if (state.value.erased !== before.erased)
      forgetting = Promise.all([forgetIn(state.value.erased), ofDays((kept) => kept.forget(state.value.erased))]).then(
        nothing,
        (e: unknown) => console.warn('names erased elsewhere may still stand in this browser', e),
      )
  }
  return {
    state,
    happen,
    happenEverywhere: (e) => {
      happen(e)
      channel?.postMessage(JSON.parse(JSON.stringify(e)))
    },
    hearTabs: (after) => {
      if (!channel) return
      channel.onmessage = (m: MessageEvent<DeskEvent>) => {
        happen(m.data)
        after()
      }
    },
    forgotten: () => forgetting,
    isTab: (tab) => (state.value = { ...state.value, tab }),
  }
}

function keepUnsettled(before: readonly Unsettled[], after: readonly Unsettled[]): void {
  const told = (e: unknown) => console.warn('no room to keep what has to be settled', e)
  for (const u of after) if (!before.includes(u)) unsettled.put(u).catch(told)
  for (const u of before) if (!after.some((x) => x.command.id === u.command.id)) unsettled.remove(u.command.id).catch(told)
}
