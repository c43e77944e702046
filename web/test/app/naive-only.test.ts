import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { parse } from 'vue/compiler-sfc';
import { describe, expect, it } from 'vitest';

/** Elements that the component library has a part for. */
const NATIVE = [
  'button',
  'input',
  'select',
  'textarea',
  'form',
  'table',
  'dialog',
  'details',
  'progress',
  'meter',
];

/** What is ours by design and drawn by hand. */
const OURS: Record<string, readonly string[]> = {
  'sheet/SheetGrid.vue': ['table', 'input'],
  'sheet/SheetRow.vue': ['input'],
};

const source = path.resolve(import.meta.dirname, '../../src');

interface Node {
  tag?: string;
  children?: Node[];
}
function tags(node: Node): string[] {
  return [...(node.tag ? [node.tag] : []), ...(node.children ?? []).flatMap(tags)];
}

const views = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter((file) =>
  file.endsWith('.vue'),
);

function nativeTags(template: string): string[] {
  const { descriptor } = parse(template);
  return tags(descriptor.template!.ast as unknown as Node).filter((tag) => NATIVE.includes(tag));
}

describe('the component library is used for all it has', () => {
  it('no view has a native control but what is drawn by hand', () => {
    const found = views.flatMap((file) => {
      const allowed = OURS[file.replaceAll(path.sep, '/')] ?? [];
      return nativeTags(readFileSync(path.join(source, file), 'utf8'))
        .filter((tag) => !allowed.includes(tag))
        .map((tag) => `${file}: ${tag}`);
    });
    expect(views.length).toBeGreaterThan(50);
    expect(found).toEqual([]);
  });

  it('the check sees a native control where there is one', () => {
    expect(nativeTags('<template><p><NButton /><button>Save</button></p></template>')).toEqual(['button']);
  });
});
