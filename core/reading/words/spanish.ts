import { phrases } from '../../text/phrases'
import type { LanguageWords } from './languageWords'

export const spanish: LanguageWords = {
  months: [
    ['enero', 'ene'],
    ['febrero', 'feb'],
    ['marzo', 'mar'],
    ['abril', 'abr'],
    ['mayo', 'may'],
    ['junio', 'jun'],
    ['julio', 'jul'],
    ['agosto', 'ago'],
    ['septiembre', 'setiembre', 'sept', 'sep', 'set'],
    ['octubre', 'oct'],
    ['noviembre', 'nov'],
    ['diciembre', 'dic'],
  ],
  today: ['hoy'],
  yesterday: ['ayer'],
  ago: ['hace'],
  units: {
    hour: ['horas', 'hora', 'minutos', 'minuto'],
    day: ['dias', 'dia'],
    week: ['semanas', 'semana'],
    month: ['meses', 'mes'],
    year: ['anos', 'ano'],
  },
  besideDate: phrases(`
    el, de, del, a, las, fecha, finalizado, finalizo, terminado, lunes, martes, miercoles, jueves, viernes,
    sabado, domingo, lun, mar, mie, jue, vie, sab, dom, un, una, en, publicado
  `),
  sold: ['vendido', 'vendida', 'vendido el', 'vendido por', 'vendidos', 'adjudicado', 'articulo vendido'],
  shipping: ['envio', 'gastos de envio', 'portes', 'entrega', 'de envio', 'coste de envio', 'envio estandar'],
  freeShipping: phrases(`
    envio gratis, envio gratuito, envio incluido, gastos de envio incluidos, portes incluidos,
    sin gastos de envio, portes gratis, gastos incluidos
  `),
  pickup: phrases(`
    recogida local, recogido, recogido en mano, recogida en mano, solo recogida, entrega en mano, en mano, recogida en persona,
    solo recogida en persona, trato en mano, recogida
  `),
  importCharges: ['aduana', 'gastos de importacion', 'proteccion', 'iva', 'tasas'],
  besidePrice: phrases(`
    precio, por, euros, euro, solo, ahora, negociable, no negociable, precio final, a, precio fijo, pesos,
    vendido, puja, precio:, puja ganadora, o mejor oferta, puja final, adjudicado en
  `),
  notThePrice: phrases(`
    antes, proteccion al comprador, gastos de servicio, precio nuevo, nuevo cuesta, era, aprox,
    aproximadamente, desde, al mes, coste, costo, valor, pvp, precio anterior, precio de salida,
    unos
  `),
  nowPrice: ['ahora', 'precio pagado', 'vendido', 'vendida', 'precio final', 'rebajado a', 'vendido por'],
  hiddenPrice: phrases(`
    oferta aceptada, mejor oferta aceptada, precio a consultar, a convenir, consultar precio
  `),
  each: ['cada uno', 'cada una', 'unidad', 'la unidad', 'c/u', 'por unidad', 'cada'],
  auction: ['pujas', 'puja', 'subasta', 'ofertas'],
  fixedPrice: phrases(`
    comprar ya, compra directa, venta directa, precio fijo, mejor oferta, cómpralo ya, compralo ya,
    o mejor oferta, compra inmediata
  `),
  state: {
    new: phrases(`
      nuevo, nueva, a estrenar, precintado, precintada, sin usar, sin abrir, nuevo precintado,
      totalmente nuevo, sin estrenar
    `),
    opened: phrases(`
      abierto, caja abierta, nuevo (otro), nuevo otro, nuevo: otro, desprecintado, reacondicionado sin uso,
      nuevo caja abierta, nuevo sin caja
    `),
    refurbished: ['reacondicionado', 'reacondicionada', 'restaurado', 'reacondicionado por el vendedor'],
    used: phrases(`
      usado, usada, segunda mano, de segunda mano, como nuevo, como nueva, buen estado, muy buen estado,
      perfecto estado, funciona, funcionando, probado, funciona perfectamente, seminuevo, aceptable,
      en buen estado, bueno, muy bueno, excelente estado, usado - buen estado
    `),
    damaged: phrases(`
      pantallazo, pantalla negra, averiado, averiada, para arreglar, no arranca, sin imagen,
      no funciona, para piezas, roto, rota, defectuoso, sin probar, danado, para reparar, despiece,
      para despiece, no enciende, no da imagen, estropeado, no testeado, para piezas o no funciona,
      piezas, danada, defectuosa, estropeada, no arranca, pantalla negra, no da video, no probado,
      sin testear, fallo, fallos, falla, fallas, con fallos, quemado, quemada, pines doblados,
      pin doblado, se cuelga, se apaga, se reinicia, inestable, artefactos, no reconoce,
      no reconocido, no detectado, sectores defectuosos, para desguace, desguace, mojado, golpeado,
      sin imagen, no va, para recambios, a reparar, rayas en pantalla, no da senal, sin senal,
      estado desconocido, ventilador roto, le falta un pin, no se enciende, no prende, no probada,
      no detecta, no lo detecta, no la detecta, no reconocida, no detectada, no testeada,
      lineas en pantalla, cuelgues, tal cual, como esta, bios bloqueada, bloqueado, bloqueada,
      pantallazos, con fugas, no responde, no postea, se calienta, se calienta mucho, hace ruido,
      hace chispas, chispas, parpadea, le falta, contrasena bios, quemados
    `),
  },
  denies: ['sin', 'no', 'ningun', 'ninguna', 'nunca', 'ni'],
  putRight: ['reparado', 'arreglado', 'reparada', 'arreglada', 'enderezado', 'sustituido'],
  aboutSeller: phrases(`
    de, desde, vendedor, ubicacion, ubicado en, procedente de, por, enviado desde
  `),
  pageNoise: phrases(`
    patrocinado, anuncio, ver mas, detalles, resultados, seguir, devoluciones gratis, filtrar, ordenar,
    ver descripcion, mas, particular, profesional, vendedor particular, finalizado, finalizada, pagina,
    articulos similares, se abre en una ventana nueva, valoraciones
  `),
  shopPage: phrases(`
    anadir al carrito, anadir a la cesta, en stock, sin stock, agotado, valoraciones, opiniones, disponible
  `),
  asked: phrases(`
    publicado, negociable, se vende, precio fijo, a negociar
  `),
  scoreColumn: ['puntos', 'puntuacion', 'resultado', 'resultados', 'indice'],
  wanted: ['busco', 'se busca', 'compro', 'cambio', 'cambio por', 'intercambio', 'buscando', 'cambio mi'],
  machine: phrases(`
    ordenador, pc gaming, pc gamer, portatil, computadora, pc completo, torre completa,
    ordenador de sobremesa, sobremesa, pc sobremesa, mini pc, equipo completo
  `),
  includes: ['con', 'incluye', 'incluido', 'incluida'],
  joins: ['y', 'con', 'mas'],
  forThe: ['para', 'compatible', 'compatible con'],
  choice: ['o', 'a elegir', 'elegir', 'varios', 'varias', 'eleccion'],
}
