/** Pictures of the demo, drawn by the project itself: a square of 300, in the greys that paper takes well. */
const ink = '#241C17'
const dark = '#5B5046'
const mid = '#8A7B66'
const sand = '#D9CDB8'
const white = '#FFFFFF'
const line = (d: string, width = 3, fill = 'none') =>
  `<path d="${d}" fill="${fill}" stroke="${ink}" stroke-width="${width}" stroke-linejoin="round" stroke-linecap="round"/>`
const strokes: Record<string, string> = {
  T: 'M0 0h16M8 0v24',
  E: 'M16 0H0v24h16M0 12h12',
  R: 'M0 24V0h9q8 0 8 6t-8 6H0m8 0 9 12',
  N: 'M0 24V0l16 24V0',
  I: 'M8 0v24',
  D: 'M0 0v24h5q12 0 12-12T5 0z',
  S: 'M16 4Q8-3 3 3q-3 6 5 9t8 8q-5 7-16 1',
}
/** Lettering as strokes: it needs no font. */
const letters = (word: string, x: number, y: number, size: number) =>
  [...word].map((l, i) => `<g transform="translate(${x + i * 23 * size} ${y}) scale(${size})">${line(strokes[l]!, 5)}</g>`).join('')
const sea = (y: number, fill = sand) =>
  `<path d="M0 ${y}q18 -14 37 0t38 0 37 0 38 0 37 0 38 0 37 0 38 0V300H0z" fill="${fill}"/>${line(`M0 ${y}q18 -14 37 0t38 0 37 0 38 0 37 0 38 0 37 0 38 0`)}`
const sun = (x: number, y: number, r: number) => `<circle cx="${x}" cy="${y}" r="${r}" fill="${white}" stroke="${ink}" stroke-width="3"/>`
const wing = (flip: boolean, fill: string, spot: string) =>
  `<g transform="${flip ? 'translate(300 0) scale(-1 1)' : ''}">${line('M146 118C110 60 40 46 22 70c-8 30 22 86 74 96 20 2 40-10 50-28z', 4, fill)}${line('M146 140c-30 20-62 50-54 84 4 20 30 26 42 8 12-20 14-56 12-92z', 4, fill)}<circle cx="74" cy="108" r="19" fill="${white}" stroke="${ink}" stroke-width="4"/><circle cx="74" cy="108" r="8" fill="${spot}"/><circle cx="112" cy="214" r="9" fill="${spot}"/>${line('M140 128C110 110 70 84 34 78M140 146c-20 18-34 44-38 66')}</g>`
const moth = (ground: string, fill: string, spot: string) =>
  `<rect width="300" height="300" fill="${ground}"/>${ground === dark ? `<circle cx="150" cy="140" r="112" fill="${white}"/>` : ''}${wing(false, fill, spot)}${wing(true, fill, spot)}${line('M150 100v110', 14)}${line('M148 100C138 70 120 60 104 58M152 100c10-30 28-40 44-42', 4)}`
const tower = (stripes: boolean) =>
  `<rect width="300" height="300" fill="${sand}"/>${sun(52, 60, 26)}<path d="M186 70q14-18 34-6 22-10 32 10 24 2 20 20h-92q-10-18 6-24z" fill="${white}" stroke="${ink}" stroke-width="3"/>${line('M120 110h60l14 130h-88z', 4, white)}${stripes ? `<path d="M116 146h68l4 30h-76zM108 208h84l3 32h-90z" fill="${ink}"/>` : ''}${line('M128 76h44v34h-44z', 4, white)}${line('M120 76l30-26 30 26zM150 50V34', 4, dark)}<rect x="142" y="84" width="16" height="18" fill="${ink}"/><path d="M0 250q70-40 150-26t150 12v64H0z" fill="${dark}"/>${line('M0 250q70-40 150-26t150 12')}`

const motifs: Record<string, string> = {
  moth: moth(white, sand, ink),
  'night-moth': moth(dark, sand, mid),
  'grey-moth': moth(white, mid, white),
  ferry: `<rect width="300" height="300" fill="${white}"/>${sun(60, 62, 26)}${sea(236)}${line('M30 178h236l-34 62H62z', 4, mid)}${line('M70 142h150v36H70zM100 110h88v32h-88z', 4, white)}${line('M128 70h26v40h-26z', 4, dark)}${line('M230 178V96l26 14-26 12', 3)}${[84, 112, 140, 168, 196].map((x) => `<rect x="${x}" y="152" width="14" height="12" fill="${ink}"/>`).join('')}<rect x="164" y="192" width="74" height="28" fill="${white}"/>${letters('TERN', 170, 197, 0.72)}`,
  lighthouse: tower(true),
  'white-tower': tower(false),
  kelp: `<rect width="300" height="300" fill="${white}"/>${[60, 130, 200, 256].map((x, i) => `${line(`M${x} 290c-14-60 14-90 0-150s10-70 ${i % 2 ? -8 : 8}-${90 + i * 8}`, 4)}${[0, 1, 2, 3, 4].map((k) => `<path d="M${x} ${250 - k * 44}q${k % 2 ? -34 : 34} -8 ${k % 2 ? -40 : 40} -34q${k % 2 ? 30 : -30} -2 ${k % 2 ? 40 : -40} 34z" fill="${[dark, mid, sand][(i + k) % 3]}" stroke="${ink}" stroke-width="2.5"/>`).join('')}`).join('')}${line('M10 290h280')}`,
  heron: `<rect width="300" height="300" fill="${white}"/><circle cx="236" cy="70" r="34" fill="${sand}"/>${sea(256)}${line('M120 250c20-6 10-50 40-70 40-10 60-60 20-84-10-30 10-50 34-48l60 18-58 6c-16 6-8 24 2 40 30 40 0 96-50 104z', 4, mid)}${line('M150 210v66M176 200v76', 4)}<circle cx="214" cy="64" r="4" fill="${white}"/>${line('M40 256c4-40-8-60-4-100M62 258c0-30 10-50 8-80', 3)}`,
  crab: `<rect width="300" height="300" fill="${white}"/><ellipse cx="150" cy="176" rx="84" ry="56" fill="${mid}" stroke="${ink}" stroke-width="4"/>${line('M84 150C50 140 40 110 54 84m12 2c-4-20-34-22-36 4 0 16 14 26 30 22M216 150c34-10 44-40 30-66m-12 2c4-20 34-22 36 4 0 16-14 26-30 22', 5)}${line('M78 200l-40 30M92 220l-30 44M222 200l40 30M208 220l30 44M128 122v-18M172 122v-18', 5)}<circle cx="128" cy="98" r="8" fill="${white}" stroke="${ink}" stroke-width="4"/><circle cx="172" cy="98" r="8" fill="${white}" stroke="${ink}" stroke-width="4"/>${line('M120 196q30 22 60 0', 4)}`,
  fish: `<rect width="300" height="300" fill="${sand}"/>${line('M40 150c50-70 130-70 180-4l50-40v90l-50-38c-50 62-130 62-180-8z', 4, white)}<circle cx="84" cy="138" r="8" fill="${ink}"/>${[120, 150, 180].map((x) => line(`M${x} 112q-18 38 0 74`)).join('')}<circle cx="50" cy="80" r="9" fill="none" stroke="${ink}" stroke-width="3"/><circle cx="70" cy="52" r="6" fill="none" stroke="${ink}" stroke-width="3"/>${line('M0 270q40-20 80 0t80 0 80 0 80 0', 3)}`,
  tides: `<rect width="300" height="300" fill="${white}"/>${letters('TIDES', 30, 28, 1.5)}${line('M30 150c30-70 60-70 90 0s60 70 90 0 50-60 60-30', 5)}<path d="M30 150c30-70 60-70 90 0s60 70 90 0 50-60 60-30v60H30z" fill="${sand}"/>${[210, 232, 254, 276].map((y) => line(`M30 ${y}h100M160 ${y}h110`, 3)).join('')}${sun(244, 46, 16)}`,
  keeper: `<rect width="300" height="300" fill="${sand}"/>${line('M70 300c0-50 30-70 80-70s80 20 80 70z', 4, dark)}${line('M96 130c0 60 20 96 54 96s54-36 54-96z', 4, white)}${line('M78 132h144c-4-50-30-80-72-80s-68 30-72 80z', 4, mid)}<circle cx="130" cy="152" r="5" fill="${ink}"/><circle cx="170" cy="152" r="5" fill="${ink}"/>${line('M132 194q18 12 36 0M150 156v20', 3)}`,
}

/** A drawn picture as SVG of so many pixels; it covers them, whatever their shape. */
export const drawnSvg = (motif: string, width: number, height: number): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 300 300" preserveAspectRatio="xMidYMid slice">${motifs[motif] ?? motifs['moth']!}</svg>`
