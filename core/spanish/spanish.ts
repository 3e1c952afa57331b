import type { Catalogue } from '#core/language'
import { beside } from './beside'
import { ahead } from './ahead'
import { mine } from './mine'
import { day } from './day'
import { room } from './room'
import { craft } from './craft'
import { lines } from './lines'
import { screens } from './screens'
import { sentences } from './sentences'

/** Spanish as it is understood in libraries and clubs on both sides of the ocean: no slang, infinitives for instructions. */
export const spanish: Catalogue = {
  language: 'es',
  words: { ...screens, ...sentences, ...craft, ...beside, ...room, ...ahead, ...mine, ...day },
  patterns: [
    // "7 × 5 in plaque", "101.6 × 101.6 mm coaster"
    [/^(.+? × .+? (?:in|mm)) (.+)$/, (t, size, kind) => `${t(kind!)} de ${size}`],
    [/^(.+), (front|back)$/, (t, what, side) => `${t(what!)}, ${side === 'front' ? 'delante' : 'detrás'}`],
    [/^Your (.+)$/, (t, piece) => `Su ${t(piece!)}`],
    [/^Sample (\d+)$/, (_t, n) => `Muestra ${n}`],
    [/^Spare (\d+)$/, (_t, n) => `Repuesto ${n}`],
    [/^Seat (.+)$/, (_t, seat) => `Sitio ${seat}`],
    [/^seat (.+)$/, (_t, seat) => `sitio ${seat}`],
    [/^(.+) and (\d+) more$/, (t, names, n) => `${t(names!)} y ${n} más`],
    [/^A house picture$/, () => 'Una imagen de la casa'],
    [/^(\d+) house pictures$/, (_t, n) => `${n} imágenes de la casa`],
    [/^(.+) tsp$/, (_t, n) => `${n} cdta`],
    [/^(\d+(?:\.\d+)?) °C, (\d+) %$/, (_t, c, h) => `${c} °C, ${h} %`],
    [/^(\d+) at 1 to (\d+)$/, (_t, n, ratio) => `${n} a 1 por ${ratio}`],
    [/^(\d+(?:\.\d+)?) to (\d+(?:\.\d+)?)$/, (_t, a, b) => `${a} a ${b}`],
    // What a house says: "Where: what".
    [/^mirrored, (.+)$/, (t, what) => `en espejo, ${t(what!)}`],
    [/^not mirrored, (.+)$/, (t, what) => `sin espejo, ${t(what!)}`],
    [/^(.+) · (.+)$/, (t, a, b) => `${t(a!)} · ${t(b!)}`],
    [/^(\d+) days(.*)$/, (_t, n, rest) => `${n} días${rest}`],
  ],
  lines,
  calendar: {
    days: ['lunes', 'martes', 'miércoles', 'jueves', 'viernes', 'sábado', 'domingo'],
    shortDays: ['lun', 'mar', 'mié', 'jue', 'vie', 'sáb', 'dom'],
    months: ['ene', 'feb', 'mar', 'abr', 'may', 'jun', 'jul', 'ago', 'sept', 'oct', 'nov', 'dic'],
    day: (weekday, day, month) => `${weekday} ${day} ${month}`,
    am: 'a.\u00a0m.',
    pm: 'p.\u00a0m.',
  },
}
