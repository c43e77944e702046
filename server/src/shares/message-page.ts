const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};

/** What somebody without an account reads where a link shows no paper, on a phone as well as on a desk. */
export function messagePage(message: string): string {
  const text = message.replace(/[&<>"]/g, (sign) => ENTITIES[sign]!);
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="color-scheme" content="light dark">
<title>Tasche</title>
<body style="max-width: 32em; margin: 15vh auto; padding: 0 20px; font: 17px/1.5 system-ui, sans-serif">
<p><b>tasche</b></p>
<p>${text}</p>
`;
}
