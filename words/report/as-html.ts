import { type Block, figureColumns, type Report } from './blocks.ts';
import { drawingSvg, escaped } from './drawings.ts';

const STYLE = `
:root{color-scheme:light}
body{margin:0;background:#fbf6ee;color:#241528;font:16px/1.55 "Public Sans","Helvetica Neue",Arial,sans-serif}
main{max-width:46rem;margin:0 auto;padding:2.5rem 1.25rem}
h1{font-size:1.9rem;line-height:1.2;margin:0 0 .3rem}
h2{font-size:1.3rem;margin:2rem 0 .5rem}
h3{font-size:1rem;margin:1rem 0 .2rem}
p,ul{margin:.4rem 0}
.about{color:#5e5264}
.wide{overflow-x:auto}
table{border-collapse:collapse;width:100%;font-size:.95rem}
caption{text-align:left;color:#5e5264;padding-bottom:.3rem}
th,td{border-bottom:1px solid #d9cfc0;padding:.3rem .5rem;text-align:left;vertical-align:top}
.figure{text-align:right}
th:first-child,td:first-child{text-align:left;font-weight:400}
thead th{color:#5e5264}
figure{margin:1rem 0}
figure svg,figure img{max-width:100%;height:auto}
figcaption{color:#5e5264;font-size:.9rem}
.disclosure{margin-top:2rem;border-left:4px solid #c77a0a;padding-left:1rem}
@media print{body{background:#fff}main{padding:0}h2,h3{break-after:avoid}figure,table{break-inside:avoid}}
`;

function blockHtml(block: Block, pictures: ReadonlyMap<string, string>): string {
  switch (block.kind) {
    case 'heading':
      return `<h${block.level}>${escaped(block.text)}</h${block.level}>`;
    case 'text':
      return `<p>${escaped(block.text).replaceAll('\n', '<br>')}</p>`;
    case 'list':
      return `<ul>${block.items.map((item) => `<li>${escaped(item)}</li>`).join('')}</ul>`;
    case 'table': {
      const figures = figureColumns(block);
      const set = (i: number) => (figures[i] ? ' class="figure"' : '');
      return `<div class="wide" tabindex="0" role="region" aria-label="${escaped(block.caption)}"><table><caption>${escaped(block.caption)}</caption><thead><tr>${block.head.map((cell, i) => `<th scope="col"${set(i)}>${escaped(cell)}</th>`).join('')}</tr></thead><tbody>${block.rows
        .map(
          ([first = '', ...rest]) =>
            `<tr><th scope="row">${escaped(first)}</th>${rest.map((cell, i) => `<td${set(i + 1)}>${escaped(cell)}</td>`).join('')}</tr>`,
        )
        .join('')}</tbody></table></div>`;
    }
    case 'drawing':
      return `<figure><div role="img" aria-label="${escaped(block.says)}">${drawingSvg(block.drawing) ?? ''}</div><figcaption>${escaped(block.says)}</figcaption></figure>`;
    case 'picture': {
      const source = pictures.get(block.photographId);
      return source
        ? `<figure><img alt="${escaped(block.caption)}" src="${escaped(source)}"><figcaption>${escaped(block.caption)}</figcaption></figure>`
        : `<p>[A picture that could not be put in: ${escaped(block.caption)}]</p>`;
    }
  }
}

/**
 * A report as one HTML file that asks for nothing: its own style, its drawings as SVG, its pictures inside it. `pictures`: data
 * addresses of photographs by id.
 */
export function asHtml(
  { title, about, blocks, disclosure }: Report,
  pictures: ReadonlyMap<string, string>,
): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; img-src data:">
<title>${escaped(title)}</title>
<style>${STYLE}</style>
</head>
<body>
<main>
<h1>${escaped(title)}</h1>
<p class="about">${escaped(about)}</p>
${blocks.map((block) => blockHtml(block, pictures)).join('\n')}
<p class="disclosure">${escaped(disclosure)}</p>
</main>
</body>
</html>
`;
}
