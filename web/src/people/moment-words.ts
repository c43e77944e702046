import { format, formatDistanceToNowStrict } from 'date-fns';

/** "26 Nov 2026, 21:04", in the reader's time zone. */
export function dayAndTime(moment: string): string {
  return format(new Date(moment), 'd MMM yyyy, HH:mm');
}

/** "3 hours ago", "in 6 days". */
export function fromNow(moment: string): string {
  return formatDistanceToNowStrict(new Date(moment), { addSuffix: true });
}

/** "Firefox on Android", as far as a browser says what it is. */
export function agentWords(agent: string): string {
  const browser = [
    ['Firefox', /Firefox\//],
    ['Edge', /Edg\//],
    ['Chrome', /Chrom(e|ium)\//],
    ['Safari', /Safari\//],
  ].find(([, pattern]) => (pattern as RegExp).test(agent))?.[0] as string | undefined;
  const system = [
    ['Android', /Android/],
    ['iPhone', /iPhone/],
    ['iPad', /iPad/],
    ['Windows', /Windows/],
    ['macOS', /Mac OS X/],
    ['Linux', /Linux/],
  ].find(([, pattern]) => (pattern as RegExp).test(agent))?.[0] as string | undefined;
  if (!browser) return agent.slice(0, 40) || 'an unknown program';
  return system ? `${browser} on ${system}` : browser;
}
