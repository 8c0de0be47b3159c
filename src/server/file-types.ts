// What a file is: by its first bytes where they tell, else by its name.

const byExtension: Readonly<Record<string, string>> = {
  html: 'text/html',
  htm: 'text/html',
  xhtml: 'text/html',
  css: 'text/css',
  js: 'text/javascript',
  mjs: 'text/javascript',
  json: 'application/json',
  txt: 'text/plain',
  md: 'text/plain',
  xml: 'application/xml',
  map: 'application/json',
  webmanifest: 'application/json',
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  avif: 'image/avif',
  svg: 'image/svg+xml',
  bmp: 'image/bmp',
  ico: 'image/x-icon',
  woff: 'font/woff',
  woff2: 'font/woff2',
  ttf: 'font/ttf',
  otf: 'font/otf',
  mp4: 'video/mp4',
  webm: 'video/webm',
  ogv: 'video/ogg',
  mov: 'video/quicktime',
  mp3: 'audio/mpeg',
  ogg: 'audio/ogg',
  wav: 'audio/wav',
  vtt: 'text/vtt',
}

const signatures: readonly (readonly [string, RegExp])[] = [
  ['image/png', /^\x89PNG/],
  ['image/jpeg', /^\xff\xd8\xff/],
  ['image/gif', /^GIF8/],
  ['image/webp', /^RIFF[\s\S]{4}WEBP/],
  ['image/avif', /^[\s\S]{4}ftypavi[fs]/],
  ['image/bmp', /^BM[\s\S]{4}\0\0\0\0/],
  ['application/pdf', /^%PDF/],
  ['application/zip', /^PK\x03\x04|^PK\x05\x06/],
  ['application/gzip', /^\x1f\x8b/],
  ['font/woff2', /^wOF2/],
  ['font/woff', /^wOFF/],
  ['video/mp4', /^[\s\S]{4}ftyp/],
  ['video/webm', /^\x1aE\xdf\xa3/],
]

/** The type of a file; `application/octet-stream` where nothing tells. */
export function typeOf(path: string, bytes: Uint8Array): string {
  const start = Buffer.from(bytes.subarray(0, 64)).toString('latin1')
  const signed = signatures.find(([, pattern]) => pattern.test(start))?.[0]
  const extension = /\.([a-z0-9]+)$/i.exec(path)?.[1]?.toLowerCase() ?? ''
  return signed ?? byExtension[extension] ?? 'application/octet-stream'
}

/** What a type is called in a sentence. */
export function nameOfType(type: string): string {
  const [family = '', kind = ''] = type.split('/')
  const known: Readonly<Record<string, string>> = {
    image: 'a picture',
    font: 'a font',
    video: 'a video',
    audio: 'a sound',
    'application/pdf': 'a PDF',
    'application/zip': 'a ZIP archive',
    'application/gzip': 'a compressed archive',
  }
  return `${known[type] ?? known[family] ?? 'something else'} (${kind.replace(/^x-/, '').toUpperCase()})`
}
