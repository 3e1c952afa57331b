/** "It can't be done" as an answer: what, why and the ways out. Never thrown. */
export interface Refusal {
  refused: { what: string; why: string; remedies: string[] }
}

export const refuse = (what: string, why: string, remedies: string[]): Refusal => ({
  refused: { what, why, remedies },
})

export const isRefusal = (answer: unknown): answer is Refusal => typeof answer === 'object' && answer !== null && 'refused' in answer
