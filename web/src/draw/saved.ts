import { toBlob } from 'html-to-image';

/** Attributes whose colours come from the look by name; a picture by itself has to bring them along. */
const PAINTED = ['fill', 'stroke'] as const;
/** What the style sheets say of texts and lines. */
const STYLED = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font',
  'font-weight',
  'paint-order',
  'text-anchor',
] as const;
/** Pixels of the picture for one of the drawing. */
const SCALE = 2;

/** The drawing as it stands on the screen, as a file of its own: colours and type written into it. */
export function asSvg(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const originals = [svg, ...svg.querySelectorAll('*')];
  for (const [i, element] of [copy, ...copy.querySelectorAll('*')].entries()) {
    const original = originals[i];
    if (original === undefined) continue;
    const style = getComputedStyle(original);
    for (const name of PAINTED) if (element.getAttribute(name)?.startsWith('var(') === true) element.removeAttribute(name);
    element.setAttribute('style', STYLED.map((name) => `${name}:${style.getPropertyValue(name)}`).join(';'));
    element.removeAttribute('class');
  }
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  copy.style.setProperty('background', getComputedStyle(svg).getPropertyValue('--sheet'));
  return new XMLSerializer().serializeToString(copy);
}

/** The same as a picture of twice its size, its type in it. */
export async function asPng(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.viewBox.baseVal;
  const blob = await toBlob(svg as unknown as HTMLElement, {
    width,
    height,
    pixelRatio: SCALE,
    backgroundColor: getComputedStyle(svg).getPropertyValue('--sheet'),
    style: { width: `${width}px`, height: `${height}px` },
  });
  if (blob === null) throw new Error('This browser draws no pictures.');
  return blob;
}

/** Hands a file over to the person. */
export function handOver(content: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
