/** Sheets with slips that browsers forgive, each in its own way. */
export const forgiven: readonly string[] = [
  'p{color:red;;}',
  'p{color:red;a}',
  'p{color:red;a;b:c}',
  '@media screen{p{x}}',
  'p{color:red}}q{color:blue}',
  'p{color:red;\0}q{color:blue}',
  'p\0{color:red}q{color:blue}',
  'p{color:red',
  'p{color:"red',
  'p{color:red;background:url(x y)}q{color:blue}',
  'p{color:"re\nd";opacity:.5}q{color:blue}',
  'p{{color:red}opacity:.5}',
  'p{color:red;{opacity:.5}}',
  'p{color:(red;opacity:.5}q{color:blue}',
  'p{color:red)}q{color:blue}',
  'p{:hover{color:red}opacity:.5}',
  'p{a:hover{color:red}opacity:.5}',
  'p{color:red;>q{opacity:.5}}',
  'p{@media{color:red}}',
  'p{@media (min-width:1px){color:red;;x}opacity:.5}',
  'p{@nothing;color:red}',
  '@nothing{p{color:red}}q{color:blue}',
  '@nothing p{color:red};q{color:blue}',
  '<!-- p{color:red} --> q{color:blue}',
  '/* p{color:red} q{color:blue}',
  'p{color:red/*}q{color:blue}*/}',
  'p{color:red !important;opacity:.5! important;top:0 !}',
  'p{--x:{a:b};--y:;--z: ;color:red}',
  '--x:hover{color:red}q{color:blue}',
  'p{--x:hover{color:red}opacity:.5}',
  'p,{color:red}q{color:blue}',
  ';p{color:red}q{color:blue}',
  'p{color:red;filter:progid:x(y=1);opacity:.5}',
  'p{*color:red;_color:red;opacity:.5}',
  '@layer a,b;@layer a{p{color:red};q{color:blue}}',
  '@font-face{font-family:x;src:url(x);;y}p{color:red}',
  '@keyframes x{from{top:0;;}50%{top:1px;a}to{top:2px}}p{color:red}',
  '@supports (color:red){p{color:red;;}}',
  '@MEDIA screen{P{COLOR:RED}}',
  'p{color:\\72 ed;\\63olor:blue}',
]

/** A piece of a sheet with one to four bytes dropped, doubled or swapped. */
export function spoil(sheet: string, random: () => number): string {
  const from = Math.floor(random() * Math.max(1, sheet.length - 3000))
  let css = sheet.slice(from, from + 3000)
  for (let i = 0; i < 1 + Math.floor(random() * 4); i++) {
    const at = Math.floor(random() * css.length)
    const [before, one, after] = [css.slice(0, at), css.charAt(at), css.slice(at + 1)]
    const how = Math.floor(random() * 3)
    css = how === 0 ? before + after : how === 1 ? before + one + one + after : before + after.charAt(0) + one + after.slice(1)
  }
  return css
}
