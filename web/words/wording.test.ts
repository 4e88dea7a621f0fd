import { readdirSync, readFileSync } from 'node:fs';
import { join, sep } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { parse } from 'vue/compiler-sfc';
import { WORDING } from './en';
import { wording, type WordingKey } from './wording';

const web = join(import.meta.dirname, '..');
const FILES = readdirSync(web, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(ts|vue)$/.test(file) && !/\.test\.ts$/.test(file))
  .filter((file) => !file.startsWith(`words${sep}`) && !file.startsWith(`testing${sep}`))
  .map((file) => ({ file, text: readFileSync(join(web, file), 'utf8') }));

/** Four words and more, or two and a full stop: what only names a control or a thing is shorter, or stands where labels do. */
function isSentence(text: string): boolean {
  const words = text.match(/\p{L}[\p{L}’'-]*\p{L}/gu) ?? [];
  return (
    / /.test(text.trim()) &&
    !/^\/api\/|sans-serif$/.test(text) &&
    // What a graphics card reads.
    !/\bvec[234]\b|#include <|gl_FragColor/.test(text) &&
    (words.length >= 4 || (words.length >= 2 && /[.?!…]\s*$/.test(text)))
  );
}

/** Places of labels: they stay with what they name. */
const LABELS = /^(?:title|label|also|name|act|value|id|aria-label|aria-roledescription|placeholder|items)$/;
const LABELLED = /^(?:h[1-6]|button|router-link|option|th|v-btn|summary|legend)$/;

/** Labels of four words, in lists of shorter ones. */
const LONG_LABELS = new Set([
  'document/clashes.ts: in the order set here',
  'document/clashes.ts: in the order set elsewhere',
  'document/origins.ts: bought for this job',
  'document/origins.ts: in this tank now, stays',
  'frame/HeadBar.vue: server away, kept here',
  'stages/bench/SeatPanel.vue: bent at the pane',
  'stages/bench/SheetFront.vue: in the tank now',
  'stages/bench/bedTool.ts: take hold of handles and pieces',
  'stages/bench/bedTool.ts: bring to the height where it is put down',
  'stages/bench/bedTool.ts: press point after point, from the front on; Enter lays it',
  'stages/bench/grips.ts: Height at the front',
  'stages/bench/grips.ts: Height at the back',
  'stages/order/OrderStage.vue: Dates for the calendar',
  'stages/takeoff/TakeOffRow.vue: not in the catalogue',
  'stages/vessel/VesselDrawing.vue: inside, front glass below',
  'stages/vessel/VesselSizes.vue: length, left to right',
  'stages/vessel/VesselSizes.vue: width, front to back',
  'stages/vessel/WaterChart.vue: water with the scape in it',
  'stages/bench/yard/YardForm.vue: By a scan: STL, OBJ, GLB',
]);

/** Sentences that a script, or an expression of a template, has in it. */
function sentencesOf(code: string): string[] {
  const source = ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    // What only a programmer reads.
    if (ts.isNewExpression(node) && node.expression.getText(source) === 'Error') return;
    // Words by which a thing is found, one after the other.
    if (ts.isVariableDeclaration(node) && node.name.getText(source) === 'ALSO') return;
    if (ts.isPropertyAssignment(node) && LABELS.test(node.name.getText(source))) return;
    if (ts.isArrayLiteralExpression(node) && node.elements.length > 1 && node.elements.every(ts.isStringLiteral)) return; // prettier-ignore
    if (ts.isStringLiteralLike(node) && isSentence(node.text)) found.push(node.text);
    if (ts.isTemplateExpression(node)) {
      const whole = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join(' 0 ');
      if (isSentence(whole)) found.push(whole);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** A node of a template, as far as its words go. */
interface TemplateNode {
  type: number;
  tag?: string;
  content?: string | { content: string };
  props?: { type: number; name: string; value?: { content: string }; arg?: { content: string }; exp?: { content: string } }[]; // prettier-ignore
  children?: TemplateNode[];
}
const [ELEMENT, TEXT, INTERPOLATION, ATTRIBUTE, DIRECTIVE] = [1, 2, 5, 6, 7];
/** What ends a run of words, as an element does. */
const END: TemplateNode = { type: 0 };
const DRAWN = /^(?:class|style|d|transform|id|accept|data-.*)$/;

function sentencesInTemplate(node: TemplateNode): string[] {
  const found: string[] = [];
  for (const p of node.props ?? []) {
    if (
      p.type === ATTRIBUTE &&
      !DRAWN.test(p.name) &&
      !LABELS.test(p.name) &&
      isSentence(p.value?.content ?? '')
    )
      found.push(p.value!.content);
    const name = p.arg?.content ?? p.name;
    if (p.type === DIRECTIVE && p.exp && !DRAWN.test(name) && !LABELS.test(name))
      found.push(...sentencesOf(`(${p.exp.content}\n)`));
  }
  if (node.tag !== undefined && LABELLED.test(node.tag)) return found;
  let run = '';
  for (const child of [...(node.children ?? []), END]) {
    if (child.type === TEXT) run += child.content as string;
    else if (child.type === INTERPOLATION) run += ' 0 ';
    else {
      if (isSentence(run)) found.push(run.trim());
      run = '';
      if (child.type === ELEMENT) found.push(...sentencesInTemplate(child));
    }
  }
  return found;
}

function sentencesIn(file: string, text: string): string[] {
  if (!file.endsWith('.vue')) return sentencesOf(text);
  const { scriptSetup, script, template } = parse(text).descriptor;
  return [
    ...[scriptSetup, script].flatMap((block) => (block ? sentencesOf(block.content) : [])),
    ...(template?.ast ? sentencesInTemplate(template.ast as TemplateNode) : []),
  ];
}

describe('what the interface says', () => {
  it('stands in the catalogue, and not where it is shown', () => {
    const elsewhere = FILES.flatMap(({ file, text }) => sentencesIn(file, text).map((s) => `${file}: ${s}`));
    expect(elsewhere.filter((s) => !LONG_LABELS.has(s))).toEqual([]);
    expect([...LONG_LABELS].filter((s) => !elsewhere.includes(s))).toEqual([]);
  });

  it('is said somewhere', () => {
    const all = FILES.map(({ text }) => text).join('\n');
    expect(Object.keys(WORDING).filter((key) => !all.includes(`'${key}'`))).toEqual([]);
  });

  it('has every message in a form that can be read, with the values that it names', () => {
    for (const [key, message] of Object.entries(WORDING)) {
      const names = [...message.matchAll(/\{(\w+)(?:\}|, plural)/g)].map((m) => m[1]);
      const say = wording as (key: WordingKey, values?: Record<string, number>) => string;
      const values = names.length > 0 ? Object.fromEntries(names.map((n) => [n, 2])) : undefined;
      expect(say(key as WordingKey, values), key).not.toMatch(/[{}]|undefined/);
    }
  });

  it('follows a count', () => {
    expect(wording('listFile.plants', { taken: 1, fresh: 1 })).toBe('1 plant was taken in, 1 of them new.');
    expect(wording('listFile.plants', { taken: 12, fresh: 3 })).toMatch(/^12 plants were/);
  });
});
