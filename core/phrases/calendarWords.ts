/** The title of a calendar entry. */
export const icsSummary = (workshop: string, number: number, of: number): string =>
  of > 1 ? `${workshop}, class ${number} of ${of}` : workshop
