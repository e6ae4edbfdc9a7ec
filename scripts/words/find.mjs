// The words of the program, where they stand in its sources: what a page, a paper or a message shows to people. Offsets are those of the text.
import { walk } from 'estree-walker';
import { parseAst } from 'rolldown/parseAst';

/**
 * @typedef {{ start: number, end: number, how: 'jsx' | 'string' | 'template' | 'attribute', message: string, holes: readonly (readonly [number, number])[] }} Place
 * `message` has {0}, {1} … for what is put in; `holes` are where that stands.
 */

/** Properties of elements and objects whose text is never shown. */
const NOT_SHOWN =
  /^(className|class|id|key|href|src|type|role|htmlFor|method|target|rel|d|fill|stroke|transform|viewBox|points|style|as|lang|dir|autoComplete|inputMode|enterKeyHint|textAnchor|fontFamily|fontWeight|dominantBaseline|preserveAspectRatio|strokeLinecap|strokeLinejoin|strokeDasharray|accept|capture|scope|format|content-type|cache-control|keyName|casing|pattern|preload|data-.*|kind|code|path|table|page|sql|at|testId)$/;
/** Properties and tables whose text is shown, also when it is one small word. */
const SHOWN =
  /^(label|text|title|why|says|say|note|none|empty|head|heading|hint|placeholder|caption|aria-label|ariaLabel|submit|what|add|words|message)$/;
const TABLE_OF_WORDS = /(WORDS|LABELS|STATES|HEADLINES|TITLES|SAYS|COVERS|CAUTIONS|COMPLAINTS|EVENT_KINDS)$/;
/** Calls whose arguments nobody reads but an engineer. */
const NOT_READ =
  /^(require|import|fetch|URL|RegExp|querySelector|querySelectorAll|getElementById|addEventListener|removeEventListener|createElement|setAttribute|getAttribute|matches|closest|cookies|revalidatePath|redirect|push|replace|startsWith|endsWith|includes|indexOf|split|join|test|match|padStart|padEnd|index|uniqueIndex|sqliteTable|references|customType|createHash|digest|toString|Worker|prepare|get|has|set|delete|DateTimeFormat|NumberFormat|describe|enum|literal|postMessage)$/;

const LETTER = /\p{L}/u;
const looksShown = (text) =>
  (/\p{L}[\p{L}’',;:.!?%)]*\s+[(“‘]?[\p{L}\d{]/u.test(text) || /^[“‘(]?\p{Lu}\p{Ll}+/u.test(text) || /\p{L}[.?!…:]$/u.test(text)) &&
  !looksTechnical(text);
const looksTechnical = (text) =>
  /^[a-z]+:\/\/|^[./#@][\w[]|^[\w.-]+\/[\w.+-]+$|^data:|\.(ts|tsx|mjs|json|db|webp|csv|xlsx|pdf|svg)$/.test(text) ||
  /(^|\s)(select|insert into|update|delete from|vacuum|PRAGMA|create)\s/.test(text) ||
  isClassList(text) ||
  /^[MLHVCSQTAZmlhvcsqtaz\d\s.,{}-]+$/.test(text) ||
  /^(Content-Type|Authorization|Bearer|Basic|Enter|Escape|Tab|Shift|Control|Arrow\w+|Home|End|Backspace|Delete|GET|POST|PUT|B612|Helvetica)\b/.test(
    text,
  ) ||
  /^[\p{Lu}]?[\p{Ll}\d]+(\p{Lu}[\p{Ll}\d]+)+$/u.test(text);
const isClassList = (text) => {
  const words = text.trim().split(/\s+/);
  const css = words.filter((w) =>
    /^-?[a-z]+(-[\w[\]().,%/#]+)+$|^[\w-]+:[\w[-]|\[.+\]|^(flex|grid|block|inline|hidden|border|underline|italic|uppercase|truncate|absolute|relative|sticky|fixed|contents|btn|field|label|cell|th|head|table|sr-only)$/.test(
      w,
    ),
  ).length;
  return css > 0 && css >= words.length / 2;
};

/** @param code a source of ours @param file its name @returns {readonly Place[]} in the order in which they stand */
export function wordsIn(code, file) {
  const places = [];
  const parents = [];
  const names = namesIn(code, file);
  walk(parseAst(code, { lang: file.endsWith('.tsx') ? 'tsx' : 'ts' }), {
    enter(node, parent, prop) {
      parents.push({ node: parent, prop });
      if (node.type.startsWith('TS') && !/^TS(As|Satisfies|NonNull|Instantiation|Enum)/.test(node.type)) return this.skip();
      if (node.type === 'ImportDeclaration' || node.type === 'ExportAllDeclaration' || node.type === 'TaggedTemplateExpression')
        return this.skip();
      if (node.type === 'JSXElement' || node.type === 'JSXFragment') places.push(...runsOf(node.children));
      const text = textOf(node);
      if (text === undefined || !LETTER.test(text.message.replace(/\{\d+\}/g, ''))) return;
      const place = contextOf(parents, names);
      if (
        place === 'not-shown' ||
        (place === 'unknown' && !looksShown(text.message)) ||
        (place === 'shown' && looksTechnical(text.message))
      )
        return;
      places.push({
        start: node.start,
        end: node.end,
        how: parent?.type === 'JSXAttribute' ? 'attribute' : text.how,
        message: text.message,
        holes: text.holes,
      });
    },
    leave() {
      parents.pop();
    },
  });
  return places.sort((a, b) => a.start - b.start);
}

/** Text and what is put into it between two elements: one message, so that another language may order it otherwise. */
function runsOf(children) {
  const runs = [];
  let run = [];
  const close = () => {
    const holes = [];
    const raw = run
      .map((c) => (c.type === 'JSXText' ? shownOf(c.value) : `{${holes.push([c.expression.start, c.expression.end]) - 1}}`))
      .join('');
    if (LETTER.test(raw.replace(/\{\d+\}/g, ''))) {
      const blank = (c, end) => (c.type === 'JSXText' ? end.exec(c.value)[0].length : 0);
      const [start, end] = [run[0].start + blank(run[0], /^\s*/), run.at(-1).end - blank(run.at(-1), /\s*$/)];
      runs.push({ start, end, how: 'jsx', message: raw.trim(), holes });
    }
    run = [];
  };
  for (const child of children) {
    const plain =
      child.type === 'JSXText' ||
      (child.type === 'JSXExpressionContainer' &&
        !/^(JSX|Conditional|Logical)/.test(child.expression.type) &&
        !hasElement(child.expression));
    if (plain) run.push(child);
    else close();
  }
  close();
  return runs;
}

/** Text between elements as a page shows it: a line's end and the blanks about it are one blank, or nothing at an edge. */
const shownOf = (text) => {
  const lines = text.split('\n');
  return lines
    .map((line, i) => (i === 0 ? line : line.trimStart()))
    .map((line, i) => (i === lines.length - 1 ? line : line.trimEnd()))
    .filter((line) => line !== '')
    .join(' ');
};

const hasElement = (node) => {
  let found = false;
  walk(node, {
    enter: (n) => {
      if (n.type === 'JSXElement' || n.type === 'JSXFragment') found = true;
    },
  });
  return found;
};

function textOf(node) {
  if (node.type === 'Literal' && typeof node.value === 'string') return { how: 'string', message: node.value, holes: [] };
  if (node.type !== 'TemplateLiteral') return undefined;
  const message = node.quasis.map((q, i) => q.value.cooked + (i < node.expressions.length ? `{${i}}` : '')).join('');
  return { how: 'template', message, holes: node.expressions.map((e) => [e.start, e.end]) };
}

/** What `name` means in a file: parts' names in anatomies, a form's fields where it has some, else what is said of something. */
const namesIn = (code, file) =>
  /[\\/]family[\\/]anatomy[\\/]/.test(file) ? 'parts' : /fieldsOf|useController|<input/.test(code) ? 'fields' : 'said';

/** Whether what stands at a place is shown: by the nearest that says so. */
function contextOf(parents, names) {
  let chosen = true;
  for (let i = parents.length - 1; i >= 0; i--) {
    const { node, prop } = parents[i];
    if (node == null) break;
    if (node.type === 'ConditionalExpression') chosen &&= prop !== 'test';
    else if (node.type !== 'JSXExpressionContainer') chosen = false;
    switch (node.type) {
      case 'JSXExpressionContainer':
        // One of two texts that stand for each other between elements, whatever it looks like.
        if (chosen && parents[i - 1]?.node?.type === 'JSXElement') return 'shown';
        break;
      case 'JSXAttribute': {
        const name = node.name.name?.name ?? node.name.name;
        const element = nameOf(parents[i - 1]?.node?.name);
        if (name === 'name') return names === 'said' && /^[A-Z]/.test(element) ? 'shown' : 'not-shown';
        return NOT_SHOWN.test(name) ? 'not-shown' : SHOWN.test(name) || name.startsWith('aria-') ? 'shown' : 'unknown';
      }
      case 'Property':
        if (prop === 'key') return 'not-shown';
        if (nameOf(node.key) === 'name') return names === 'parts' ? 'shown' : 'not-shown';
        if (NOT_SHOWN.test(nameOf(node.key))) return 'not-shown';
        if (SHOWN.test(nameOf(node.key))) return 'shown';
        break;
      case 'BinaryExpression':
        if (/^[=!<>]/.test(node.operator) || node.operator === 'in') return 'not-shown';
        break;
      case 'SwitchCase':
        if (prop === 'test') return 'not-shown';
        break;
      case 'MemberExpression':
        if (prop === 'property') return 'not-shown';
        break;
      case 'ThrowStatement':
      case 'ExpressionStatement':
        if (node.type === 'ThrowStatement' || node.directive != null) return 'not-shown';
        break;
      case 'CallExpression':
      case 'NewExpression': {
        const callee = nameOf(node.callee.type === 'MemberExpression' ? node.callee.property : node.callee);
        if (prop === 'arguments' && (NOT_READ.test(callee) || /Error$/.test(callee) || isLog(node.callee))) return 'not-shown';
        break;
      }
      case 'VariableDeclarator':
        if (nameOf(node.id) === 'LANGUAGE') return 'meant';
        if (TABLE_OF_WORDS.test(nameOf(node.id))) return 'shown';
        return /(^|_)(class|CLASS|Class|className|SQL|FILE|FOLDER|PATH|URL)$/.test(nameOf(node.id)) ? 'not-shown' : 'unknown';
      default:
    }
  }
  return 'unknown';
}

const nameOf = (node) => String(node?.name ?? node?.value ?? '');
const isLog = (callee) =>
  callee.type === 'MemberExpression' && callee.object.type === 'CallExpression' && nameOf(callee.object.callee) === 'theLog';
