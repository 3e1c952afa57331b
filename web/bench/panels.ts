import type { Component } from 'vue'
import type { DecisionId } from '#core/plan'

/** The sheet of each decision, fetched when it is first opened; the router begins to fetch it together with the page. */
export const panelOf: Record<DecisionId, () => Promise<{ default: Component }>> = {
  group: () => import('./panels/GroupPanel.vue'),
  piece: () => import('./panels/PiecePanel.vue'),
  method: () => import('./panels/MethodPanel.vue'),
  pictures: () => import('./panels/PicturesPanel.vue'),
  kit: () => import('./panels/KitPanel.vue'),
  sessions: () => import('./panels/SessionsPanel.vue'),
  room: () => import('./panels/RoomPanel.vue'),
  takehome: () => import('./panels/TakeHomePanel.vue'),
}
