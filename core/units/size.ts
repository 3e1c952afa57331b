/** A flat rectangle. Lengths in mm. */
export interface Size {
  widthMm: number
  heightMm: number
}
