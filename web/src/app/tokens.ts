/** The workbench's colours: linen, ink, one petrol accent, brass for warnings, brick for errors. */
interface Tokens {
  linen: string;
  linenDeep: string;
  paper: string;
  /** Fields and pop-ups, a shade above paper. */
  raised: string;
  ink: string;
  quiet: string;
  line: string;
  lineSoft: string;
  petrol: string;
  petrolHover: string;
  petrolMid: string;
  petrolSoft: string;
  /** Words on petrol. */
  onPetrol: string;
  sand: string;
  brass: string;
  brassInk: string;
  brassSoft: string;
  brick: string;
  brickInk: string;
  brickSoft: string;
  plum: string;
  olive: string;
}

const LIGHT: Tokens = {
  linen: '#f3eee3',
  linenDeep: '#e8e0d0',
  paper: '#fbf8f1',
  raised: '#fffdf8',
  ink: '#20282b',
  quiet: '#675f50',
  line: '#dacfb9',
  lineSoft: '#e7decc',
  petrol: '#17545e',
  petrolHover: '#226a75',
  petrolMid: '#7fa5a6',
  petrolSoft: '#d4e0dc',
  onPetrol: '#fbf8f1',
  sand: '#cdbfa3',
  brass: '#b9862a',
  brassInk: '#7a5508',
  brassSoft: '#f3e3bf',
  brick: '#a53a29',
  brickInk: '#97301f',
  brickSoft: '#f0dcd2',
  plum: '#6b4a86',
  olive: '#66742c',
};

const DARK: Tokens = {
  linen: '#1d2427',
  linenDeep: '#161c1e',
  paper: '#262f32',
  raised: '#2d373a',
  ink: '#ece5d6',
  quiet: '#aba28f',
  line: '#414b4c',
  lineSoft: '#343d3f',
  petrol: '#86c3c6',
  petrolHover: '#9bd2d4',
  petrolMid: '#4d8287',
  petrolSoft: '#274246',
  onPetrol: '#12201f',
  sand: '#6d6654',
  brass: '#d8a746',
  brassInk: '#e6bd68',
  brassSoft: '#463a20',
  brick: '#d9735d',
  brickInk: '#ec8f7a',
  brickSoft: '#4a2c26',
  plum: '#b79ad0',
  olive: '#b3bf72',
};

export const FONT = "'IBM Plex Sans', system-ui, sans-serif";
const NARROW_FONT = "'IBM Plex Sans Condensed', 'IBM Plex Sans', system-ui, sans-serif";

export function tokensFor(dark: boolean): Tokens {
  return dark ? DARK : LIGHT;
}

/** Gives the style sheets the colours of the theme, as `--linen-deep` for `linenDeep`. */
export function applyTokens(dark: boolean, root: HTMLElement): void {
  root.classList.toggle('dark', dark);
  for (const [name, colour] of Object.entries(tokensFor(dark))) {
    root.style.setProperty(`--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`, colour);
  }
  root.style.setProperty('--font', FONT);
  root.style.setProperty('--narrow', NARROW_FONT);
}
