import type { FindingValues } from '#core/codes'
import type { Lines, Said } from '#core/language'
import { stateWord, ageName } from '#core/phrases'
import type { AgeBand, PieceState } from '#core/recipe'

const said = (title: string, body = ''): Said => ({ title, body })
const n = (x: string | number | undefined, one: string, many = `${one}s`) => `${x} ${Number(x) === 1 ? one : many}`
const low = (x: string | number | undefined) => {
  const text = String(x ?? '')
  return `${text[0]?.toLowerCase() ?? ''}${text.slice(1)}`
}
const list = (things: readonly string[]) => (things.length < 2 ? (things[0] ?? '') : `${things.slice(0, -1).join(', ')} y ${things.at(-1)}`)
const whites: Record<string, string> = { clear: 'transparentes', surface: 'del color de la superficie', white: 'blancos' }
const ink: Record<string, string> = { toner: 'de tóner', inkjet: 'de inyección de tinta' }
const hazard: Record<string, string> = { heat: 'la pistola de calor', blade: 'la cuchilla', spray: 'el aerosol', drill: 'el taladro' }
const many = (v: { count: number }, one: string, more: string) => (v.count === 1 ? one : more)
const pixels = (v: FindingValues['picture-soft']) =>
  v.blurred ? `${v.dpi} píxeles por pulgada, borrosa como si tuviera ${v.real}` : `${v.dpi} píxeles por pulgada a este tamaño`
const shares: Record<string, string> = {
  each: 'Uno cada uno',
  pair: 'Un vasito por pareja',
  table: 'Un vasito por mesa',
  stagger: 'Las mesas se turnan',
  room: 'Uno para la sala',
}

const findings: Lines['findings'] = {
  'no-people': () => said('Aún no hay nadie en el grupo', 'Diga cuántos vienen; todo lo demás sigue de ahí.'),
  'recipe-missing': (v) => said(`La receta ${v.recipe} ${v.version} no está aquí`, `Se planea con ${v.instead} en su lugar.`),
  'larger-than-paper': (v, say) =>
    said(
      'La imagen es más grande que el papel',
      `Mide ${say.length(v.pictureWidthMm)} × ${say.length(v.pictureHeightMm)}; de ${v.paper} la impresora alcanza ${say.length(v.widthMm)} × ${say.length(v.heightMm)}.`,
    ),
  'candle-narrow': (v, say) =>
    said(
      `Solo de adorno: ${say.length(v.diameterMm)} es estrecha para una llama`,
      `El papel de seda y la tinta son combustible. Desde ${say.length(v.wideMm)} la pared de cera queda entre medias, y aun así se vigila encendida.`,
    ),
  'beyond-piece': (v, say) =>
    said(
      'La imagen se sale de su pieza',
      `Mide ${say.length(v.widthMm)} × ${say.length(v.heightMm)} sobre una cara de ${say.length(v.faceWidthMm)} × ${say.length(v.faceHeightMm)}.`,
    ),
  'pages-not-here': (v) =>
    said(
      `Una página de revista no sirve para ${low(v.method)}`,
      'Su papel lleva carga y la tinta queda arriba: se rompe o se corre. La película transparente acepta páginas interiores.',
    ),
  'pages-backwards': () =>
    said('Las letras de una página salen al revés', 'Se coloca boca abajo, y una página no se puede poner en espejo.'),
  'no-pick-up': () => said('Aún sin recogida', 'Con una fecha el plan puede decir cuándo imprimir, preparar y pedir.'),
  'not-for-home': (v) =>
    said(`${v.method} no sirve para llevar a casa`, `«${v.stage}» pide herramientas que no se mandan a casa: se hace en clase, un adulto.`),
  'method-not-for-piece': (v) => said(`${v.method} no va con ${v.piece} de ${v.material}`, 'La película o la tinta no aguantarían.'),
  'reads-backwards': (v) =>
    said('La imagen terminada se leería al revés', v.lettering ? 'Tiene letras.' : 'Sin letras, es solo una imagen en espejo.'),
  'too-cold': (v) =>
    said(
      `Demasiado frío para colocar: la sala tiene ${v.celsius} °C`,
      `Por debajo de ${v.least} °C, o del mínimo de la etiqueta, la película no se forma.`,
    ),
  'no-date': () => said('Aún sin fecha', 'Con dos clases el plan puede decir cuándo frotar, imprimir y pedir.'),
  'session-no-length': (v) => said(`La clase ${v.session} no dura nada`, 'Termina cuando empieza.'),
  'session-overlaps': (v) =>
    said(`La clase ${v.session} empieza antes de que termine la anterior`, 'Las mismas personas no pueden estar en las dos.'),
  'session-over-midnight': (v, say) =>
    said(`La clase ${v.session} termina después de medianoche`, `Dura ${say.minutes(v.minutes)}. ¿El final era para el mismo día?`),
  'session-skipped-hour': (v, say) =>
    said(`La clase ${v.session} empieza en una hora que no existe`, `Esa noche el reloj se adelanta; se planea desde ${say.at(v.at)}.`),
  'session-doubled-hour': (v, say) =>
    said(`La clase ${v.session} empieza en una hora que se repite`, `Esa noche el reloj se atrasa; se planea desde ${say.at(v.at)}.`),
  'session-closed-day': (v, say) => said(`La casa está cerrada en la clase ${v.session}`, `${say.at(v.at)} es un día cerrado.`),
  'session-outside-hours': (v) => said(`La clase ${v.session} queda fuera del horario`, 'Alguien tiene que abrir y cerrar.'),
  'all-past': () => said('Todas las clases han pasado', 'Aquí no queda nada que planear.'),
  'too-soon': (v, say) =>
    said(
      `Demasiado pronto para frotar en la clase ${v.session}`,
      `Colocado ${say.minutes(v.laid)} antes, mínimo ${say.minutes(v.least)}. Antes, la tinta se va con el papel. Lo más pronto ${say.at(v.earliestAt)}, mejor ${say.at(v.recommendedAt)}.`,
    ),
  risky: (v, say) =>
    said(
      `Arriesgado frotar en la clase ${v.session}`,
      `${say.minutes(v.laid)} después de colocar; se recomiendan ${say.minutes(v.better)}, desde ${say.at(v.recommendedAt)}.`,
    ),
  'does-not-fit': (v, say) =>
    said(
      `A la clase ${v.session} le faltan ${say.minutes(v.over)}`,
      `Unos ${say.minutes(v.needed)} con preparación y limpieza; hay ${say.minutes(v.available)} reservados.`,
    ),
  'wait-broken': (v) => said(`${v.before} no puede esperar después de ${low(v.after)}`, 'Los dos pasos van seguidos.'),
  'adults-short': (v) =>
    said(
      Number(v.short) === 1 ? 'Falta 1 adulto' : `Faltan ${v.short} adultos`,
      `Se necesitan ${v.needed}. Quien está en una cuchilla no hace otra cosa.`,
    ),
  'too-young': (v) =>
    said(
      `${list(
        String(v.ages)
          .split(',')
          .map((a) => ageName(a as AgeBand)),
      )} en ${hazard[String(v.hazard)] ?? v.hazard}`,
      `${v.stage} no es para ellos, ni con un adulto al lado.`,
    ),
  'room-taken': (v, say) =>
    said(
      `${v.room} está ocupada para la clase ${v.session}`,
      `«${v.title}» la tiene desde ${say.at(v.at)} hasta ${say.at(v.to)}: se planeó antes.`,
    ),
  'room-wanted': (v, say) =>
    said(`«${v.title}» quiere ${v.room} a la hora de la clase ${v.session}`, `Desde ${say.at(v.at)}. Usted llegó antes y la tiene.`),
  'shelf-shared': (v, say) =>
    said(
      `Faltan ${n(v.short, 'sitio')} en el estante`,
      `Desde ${say.at(v.at)}, ${v.places} piezas en ${v.capacity} sitios, con las de ${v.titles}.`,
    ),
  'shelf-short': (v) =>
    said(
      Number(v.short) === 1 ? 'Al estante le falta 1 sitio' : `Al estante le faltan ${v.short} sitios`,
      `${v.places} piezas, ${v.capacity} sitios.`,
    ),
  'whole-pack': (v, say) =>
    said(`Un envase entero (${v.noun}) por ${say.volume(Number(v.ml))}`, `${v.what}: el envase contiene ${say.volume(Number(v.size))}.`),
  'late-order': (v, say) =>
    said('Tarde para pedirlo a tiempo', `Era para ${say.at(v.by)}. Preguntar en una tienda cercana, o pedir prestado.`),
  'late-collect': (v, say) => said('Las imágenes deberían estar', `Eran para ${say.at(v.by)}. Las de la casa sustituyen a las que faltan.`),
  'late-paint': (v, say) =>
    said(
      `Tarde para: ${low(v.stage)}`,
      `Era para ${say.at(v.by)}: la pintura que no está seca se va con el papel. La madera sin pintar no la necesita.`,
    ),
  'late-print': (v, say) => said('Imprimir ahora', `Era para ${say.at(v.by)}.`),
  'late-sample': (v, say) =>
    said(`Sin muestra «${v.sample}» a tiempo`, `Había que empezarla a más tardar ${say.at(v.by)}. Mostrar una pieza de la vez anterior.`),
  'late-gather': (v, say) => said(`Lo que la gente trae (${v.pieces}) debería estar`, `Era para ${say.at(v.by)}: se prepara el día antes.`),
  'late-pack-kits': (v, say) => said(`Preparar ahora ${n(v.kits, 'juego')} para llevar`, `Era para ${say.at(v.by)}.`),
  'late-trim': (v, say) => said(`${v.stage}, ahora`, `Era para ${say.at(v.by)}.`),
  'late-pack': (v, say) => said('Preparar las bolsas ahora', `Era para ${say.at(v.by)}.`),
  'misses-rubbing': (v) =>
    said(
      `${v.who} ${Number(v.count) === 1 ? 'falta' : 'faltan'} al frotado`,
      'Va a casa colocada, con su hoja; o vienen a una hora propia.',
    ),
  'rubs-later': (v, say) =>
    said(
      `${v.who} frota ${say.at(v.at)}`,
      v.ready
        ? 'Para entonces está lista. Alguien tiene que estar para enseñar y sellar.'
        : 'Aún no está lista: una hora más tarde, o en casa.',
    ),
  'catch-up': (v, say) =>
    said(
      v.helper ? `Un ayudante coloca la pieza de ${v.who}, ${say.at(v.at)}` : `${v.who} coloca a otra hora, ${say.at(v.at)}`,
      v.ready ? 'Lista cuando se frota.' : 'No lista cuando la clase frota: va a casa con una hoja.',
    ),
  'misses-laying': (v) =>
    said(
      `${v.who} ${Number(v.count) === 1 ? 'falta' : 'faltan'} cuando se coloca`,
      'Colocar una de repuesto, o anotar en Para casa cuándo se colocó la suya.',
    ),
  'printer-missing': (v) =>
    said(`Necesita una impresión ${ink[String(v.ink)] ?? v.ink}, y esta casa no la hace`, 'La tinta decide si se suelta o se queda.'),
  'wrong-ink': (v) =>
    v.ink === 'toner'
      ? said('La tinta líquida se corre', 'El papel sale con agua, y la tinta de inyección con él. El tóner es un polvo y se queda.')
      : said('El tóner no se suelta', 'Este método levanta tinta líquida; el tóner está fundido en su hoja.'),
  'smear-failed': () =>
    said('La prueba de corrimiento falló', 'La tinta se mueve bajo un dedo mojado: se correría. Una fotocopia de la impresión es tóner.'),
  'smear-test': () =>
    said('Frotar antes una esquina con el dedo mojado', 'La inyección de tinta solo sirve si pasa la prueba una impresión secada un día.'),
  coated: () =>
    said('El papel estucado no sale frotando', 'El papel fotográfico o satinado y las tapas de revista no dejan entrar el agua.'),
  'paper-heavy': (v) => said(`${v.gsm} g/m² sale despacio`, `El papel de copia hasta ${v.most} g/m² sale mejor; prever otra ronda.`),
  'paper-thick': (v) => said(`${v.gsm} g/m² es cartulina`, 'Se lleva la tinta antes de soltarse.'),
  'whites-vanish': (v) =>
    said(
      'Las partes claras desaparecerán',
      `Los blancos quedan ${whites[String(v.whites)]}: se pierden cielos, vestidos de boda y letras blancas.`,
    ),
  'whites-wish': (v) => said(`Los blancos quedan ${whites[String(v.whites)]}`, `Se pidieron ${whites[String(v.wished)]}.`),
  soft: (v) => said(`Poco nítida a este tamaño: ${v.dpi} píxeles por pulgada`, 'Desde 200 se ve nítida, 150 es aceptable.'),
  blurred: (v) => said(`Mala a este tamaño: ${v.dpi} píxeles por pulgada`, 'Por debajo de 100 se ven los píxeles.'),
  fair: (v) => said(`Aceptable a este tamaño: ${v.dpi} píxeles por pulgada`, 'Desde 200 se ve nítida.'),
  'fine-lost': (v, say) =>
    said('El detalle fino se pierde a este tamaño', `${say.length(v.side)} es tamaño de adhesivo: las líneas finas se van con el papel.`),
  faces: () => said('En las caras es donde duele el daño', 'Ahí, lo más suave; una impresión de repuesto de cada una parchea un hueco.'),
  precious: () => said('Copiarla antes', 'Los originales y papeles queridos no vuelven de esto.'),
  'spray-indoors': (v) =>
    said(
      `${v.stage}, en la clase ${v.session}, es con aerosol`,
      'Los aerosoles son para el aire libre o un sitio con extracción, por un adulto.',
    ),
  'heat-not-allowed': (v) => said(`${v.stage} necesita una pistola de calor`, 'La casa no permite una en esta clase.'),
  'blade-not-allowed': (v) => said(`${v.stage} necesita una cuchilla`, 'La casa no permite una en esta clase.'),
  'station-missing': (v) => said(`Ningún ${v.one} para ${low(v.stage)}`, `La clase ${v.session} necesita uno como mínimo.`),
  'station-queue': (v, say) =>
    said(
      `${v.have} ${Number(v.have) === 1 ? v.one : v.station}: ${Number(v.wait) === 1 ? 'espera 1' : `esperan ${v.wait}`}, hasta ${say.minutes(v.minutes)}`,
      `En la clase ${v.session}, que aun así cabe.`,
    ),
  'pins-broken': (v) => said(`Lo que fijó en la clase ${v.session} no puede ser`, 'Se planea sin lo fijado.'),
  'seam-on-face': (v, say) => said('Una junta cruza una cara o letras', `${say.length(v.mm)}, y no se puede apartar.`),
  race: (v, say) =>
    said(
      `${v.people} niños compiten con la capa en ${v.turns} turnos`,
      `${v.stage} viene ${Number(v.least) > 0 ? `de ${v.least} a ${v.most}` : `antes de ${v.most}`} min. ${v.adults} ${Number(v.adults) === 1 ? 'adulto guía' : 'adultos guían'} a tantos como permite la edad; los últimos empiezan ${say.minutes(v.extra)} después de los primeros.`,
    ),
  'done-for-them': (v, say) =>
    said(
      `${v.stage}: lo hacen adultos para ${n(v.people, 'niño')}`,
      `${v.adults} en ello, ${say.minutes(v.each)} por pieza: la última empieza ${say.minutes(v.extra)} después de la primera.`,
    ),
  'experiment-only': (v) => said('Un experimento, no para un grupo', `${v.recipe} ${v.below}. Probarlo en una muestra.`),
  'newer-recipe': (v) => said(`${v.recipe} tiene una versión nueva`, `Se planea con la versión ${v.version}; ya está la ${v.newest}.`),
  'many-copies': (v) =>
    said(
      `${v.copies} copias de cada imagen`,
      `${v.prints} impresiones: una para colocar, otra para parchear o empezar de nuevo. Todos tienen una buena, con ${v.sure} % de seguridad. Con una impresora en la sala basta una.`,
    ),
  'pictures-missing': (v) =>
    Number(v.missing) === Number(v.people)
      ? said('Aún no hay ninguna imagen', 'Suelte aquí una carpeta; los nombres se emparejan con las personas.')
      : said(`Faltan ${v.missing} de ${v.people} imágenes`, `${v.names}. Sus impresiones esperan.`),
  'picture-reads-backwards': (v) => said(`Las letras se leerían al revés: ${v.names}`, 'El ajuste de impresión se cambió a mano.'),
  'picture-lettering-perhaps': (v) =>
    said(
      `${v.names}: ${v.sure === 'likely' ? 'esto son probablemente letras' : 'esto pueden ser letras'}`,
      'Diga si lo son; las letras que no se vieron pueden marcarse a mano.',
    ),
  'picture-poor': (v) =>
    said(`${v.names}: ${many(v, 'se imprime', 'se imprimen')} mal`, `${pixels(v)}; por debajo de 100 se ven los píxeles.`),
  'picture-soft': (v) =>
    said(`${v.names}: ${many(v, 'sale', 'salen')} poco nítida${many(v, '', 's')}`, `${pixels(v)}; 150 es aceptable, 200 se ve nítido.`),
  'picture-whites-go': (v) =>
    said(
      `${v.names}: ${many(v, 'pierde', 'pierden')} los blancos`,
      `El ${v.share} % de la imagen es casi blanco y queda ${v.whites === 'clear' ? 'transparente' : 'del color de la superficie'}.`,
    ),
  'picture-face-seam': (v, say) => said(`Una junta cruza una cara o letras: ${v.names}`, `${say.length(v.mm)}, y no se puede apartar.`),
  'picture-cut-away': (v) =>
    said(`${v.names}: se corta el ${v.share} %`, 'La pieza tiene otra forma que la imagen. Coloque el recorte a mano.'),
  'picture-mark-cut': (v) =>
    said(`${v.names}: una cara o letras se salen del borde`, `El ${v.share} % queda fuera de la pieza. Coloque el recorte a mano.`),
  'picture-detail-lost': (v, say) =>
    said(`${v.names}: caras y letras en tamaño de adhesivo`, `${say.length(v.side)} es pequeño: las líneas finas se van con el papel.`),
  'picture-not-permitted': (v) =>
    said(
      `¿Se puede usar ${many(v, 'la imagen', 'las imágenes')} de ${v.names}?`,
      'Pregunte a su dueño, o al tutor del niño, y anote la respuesta.',
    ),
}

const remedies: Lines['remedies'] = {
  'smaller-piece': (v, say) => `Imagen de ${say.length(v.widthMm)} × ${say.length(v.heightMm)}`,
  'take-method': (v) => `Elegir ${low(v.method)}`,
  'wider-candle': (v, say) => `Vela de ${say.length(v.wideMm)} de ancho`,
  'quicker-method': (v) => `${v.method} en ${v.piece}, una sesión`,
  'print-as-advised': (v) => (v.mirrored ? 'Imprimir en espejo' : 'Imprimir sin espejo'),
  'warm-room': (v) => `Calentar la sala a ${v.least} °C`,
  'other-hour': () => 'Tomar la otra hora',
  'move-session-ready': (v, say) => `Mover la clase ${v.session} a ${say.at(v.at)}`,
  'move-session-risky': (v, say) => `Mover la clase ${v.session} a ${say.at(v.at)}, arriesgado`,
  'move-session-free': (v, say) => `Mover la clase ${v.session} a ${say.at(v.at)}`,
  'move-all': (v, say) => `Empezar ${say.at(v.at)}, todas las clases igual de tarde`,
  'other-room': (v) => `No en ${v.room}`,
  'believe-shorter': (v) => `Fiarse de ${v.option}`,
  'finish-at-home': (v) => `Terminar en casa, desde ${low(stateWord(v.state as PieceState))}`,
  'prepare-ahead': (v) => (v.stages ? `Hacer antes: ${v.stages}` : 'Repartir el trabajo entre las clases'),
  'stagger-tables': (v) => `Las mesas empiezan con ${v.minutes} min entre ellas`,
  'lay-for-them': (v) => (Number(v.count) === 1 ? 'Un ayudante la coloca en clase' : 'Un ayudante coloca las suyas en clase'),
  'catch-up-at': (v, say) => `Colocar a otra hora: ${say.at(v.at)}`,
  'drop-catch-up': () => 'Quitarlo',
  'rub-later': (v, say) => `Frotar a otra hora: ${say.at(v.at)}`,
  'drop-rub-later': () => 'Quitarlo',
  'rest-at-home': (v) => `Desde ${low(v.stage)}, en casa`,
  'fewer-rounds': (v) => n(v.rounds, 'ronda'),
  'longer-session': (v, say) => `${say.minutes(v.minutes)} más larga`,
  'drop-pins': () => 'Quitar lo fijado',
  'drop-split': () => 'Volver al reparto habitual',
  'ask-helper': (v) => n(v.short, 'ayudante más', 'ayudantes más'),
  'do-ahead': (v) => `${v.stage} antes, por el personal`,
  'fewer-spares': (v) => `${v.spares} de repuesto`,
  'more-places': () => 'Más sitios en la casa',
  'share-by': (v) => shares[String(v.share)] ?? String(v.share),
  'did-it': () => 'Ya está hecho',
  'take-material': (v) => `Hacerla de ${v.material}`,
  'take-piece': (v) => `Hacer ${v.piece} en su lugar`,
  'take-option': (v) => `${v.question}: ${v.option}`,
  'prints-from-elsewhere': (v) => `Impresiones ${ink[String(v.ink)] ?? v.ink} de otro sitio`,
  'add-printer': (v) => `Esta casa tiene una impresora ${ink[String(v.ink)] ?? v.ink}`,
  reprint: (v) => `Imprimir con impresora ${ink[String(v.ink)] ?? v.ink}`,
  photocopy: () => 'Fotocopiar las impresiones',
  'smear-passed': () => 'La pasó',
  'smear-did-fail': () => 'Se corrió',
  'plain-paper': () => 'Papel de copia corriente, 80 g/m²',
  'any-whites': () => 'Cualquier blanco sirve',
  copied: () => 'Se usa una copia',
  'print-it': () => 'Imprimir imágenes propias',
  'picture-middle': () => 'Ponerla en el centro',
  'picture-whole': () => 'Tan grande como la pieza',
  'hold-in-class': () => 'Hacerlo en clase',
  'do-at-home': (v) => `${v.stage} en casa`,
  arrange: (v) =>
    v.hazard === 'spray' ? 'Organizado al aire libre, por un adulto' : `Permitir aquí ${hazard[String(v.hazard)] ?? v.hazard}`,
  'more-hands': (v) => n(v.more, 'ayudante más', 'ayudantes más'),
  'bring-station': (v) => `Traer ${v.more} más: ${v.what}`,
  'larger-paper': (v) => `Imprimir en ${v.paper}`,
  'tile-it': () => 'Imprimirla por partes',
  'house-stands-in': () => 'Imágenes de la casa en su lugar',
  'one-copy': () => 'Una copia de cada una',
  'copies-for-sure': (v) => `${v.copies} de cada una: ${v.sure} % seguro`,
  'newest-recipe': (v) => `Tomar la versión ${v.newest}`,
}

const conditions: Lines['conditions'] = {
  'take-option': (v) => `${low(v.question)}: ${v.option}`,
  'longer-session': (v, say) => `la clase dura ${say.minutes(v.minutes)} más`,
  'fewer-rounds': (v) => `basta con ${n(v.rounds, 'ronda')}`,
  'smear-passed': () => 'pasa la prueba de corrimiento',
  'more-hands': (v) => (Number(v.more) === 1 ? 'viene 1 ayudante más' : `vienen ${v.more} ayudantes más`),
  'believe-shorter': (v) => `basta con ${v.option}`,
  'bring-station': (v) => `se traen ${v.more} más: ${v.what}`,
  'do-ahead': (v) => `${low(v.stage)} se hace antes, por el personal`,
  'do-at-home': (v) => `${low(v.stage)} se hace en casa`,
  'prepare-ahead': (v) => (v.stages ? `se hace antes: ${v.stages}` : 'el trabajo se reparte entre las clases'),
  'smaller-piece': (v, say) => `la imagen mide ${say.length(v.widthMm)} × ${say.length(v.heightMm)}`,
  arrange: (v) =>
    v.hazard === 'spray' ? 'el aerosol se organiza al aire libre, por un adulto' : `se permite ${hazard[String(v.hazard)] ?? v.hazard}`,
}

const decisions: Lines['decisions'] = {
  'decision-group': (v) => {
    const ages = (['under-8', '8-12', '13-17', 'adult'] as const).filter((a) => Number(v[a]) > 0)
    if (Number(v.people) === 0) return 'nadie todavía'
    if (ages.length === 1) return ages[0] === 'adult' ? n(v.people, 'adulto') : `${n(v.people, 'niño')}, ${ageName(ages[0]!)}`
    return `${v.people} personas, edades mezcladas`
  },
  'decision-piece': (v) => `${v.piece}, ${v.material}`,
  'decision-method': (v, say) => [String(v.method), Number(v.cure) > 0 && `${say.minutes(v.cure)} de curado`].filter(Boolean).join(', '),
  'decision-pictures': (v) =>
    v.source === 'magazine'
      ? 'páginas de revista'
      : v.source === 'brought'
        ? 'lo que la gente trae'
        : v.stamped
          ? 'estampado en clase'
          : `${v.own ? `${v.in} de ${v.people} listas, ` : ''}${n(v.prints, 'impresión', 'impresiones')}, ${v.mirrored ? 'en espejo' : 'sin espejo'}`,
  'decision-kit': (v) => `${n(v.blanks, 'pieza')}, ${n(v.things, 'cosa')} por comprar`,
  'decision-sessions': ({ home, ...v }, say) => {
    const [pickUp, back] = Object.values(v).map((at) => say.at(at))
    if (home)
      return pickUp === undefined
        ? 'en casa, aún sin recogida'
        : [`recogida ${pickUp}`, back !== undefined && `vuelta ${back}`].filter(Boolean).join(', ')
    return list(Object.values(v).map((at) => say.at(at))) || 'aún sin fecha'
  },
  'decision-room': (v) =>
    v.home
      ? 'ninguna: todo en casa'
      : `${n(v.tables, 'mesa')}${Number(v.adults) > 0 ? `, ${Number(v.adults) === 1 ? 'hace falta 1 adulto' : `hacen falta ${v.adults} adultos`}` : ''}`,
  'decision-takehome': (v) =>
    v.home
      ? `${n(v.sheets, 'hoja')}, todo en casa`
      : v.dated
        ? `${n(v.sheets, 'hoja')}, ${low(stateWord(v.state as PieceState))}`
        : 'cuando haya fecha',
}

const errands: Lines['errands'] = {
  gather: (v) => said(`Reunir lo que la gente trae (${v.pieces})`, 'y prepararlo'),
  'pack-kits': (v) => said(`Preparar ${n(v.kits, 'juego')} para llevar`, 'frascos etiquetados, impresiones cortadas, piezas listas'),
  'hand-out': (v) => said(`Entregar ${n(v.kits, 'juego')}`),
  'take-back': (v) => said('Recoger lo que se vuelve a usar', `de ${n(v.kits, 'juego')}`),
  order: (v) => said('Pedir', `${n(v.things, 'cosa')} por comprar`),
  collect: () => said('Reunir las imágenes', 'la de cada uno'),
  paint: (v, say) => said(String(v.stage), `unos ${say.minutes(v.minutes)}, y dejar secar`),
  print: (v) => said(`Imprimir ${n(v.sheets, 'hoja')}`),
  sample: (v) => said(`Empezar la muestra «${v.sample}»`),
  trim: (v, say) => said(`${v.stage}, antes`, `unos ${say.minutes(v.minutes)}`),
  pack: (v) => said(`Preparar la clase ${v.session}`, n(v.bags, 'bolsa')),
  'set-up': (v) => said(`Montar la clase ${v.session}`),
}

export const lines: Lines = { findings, remedies, conditions, decisions, errands }
