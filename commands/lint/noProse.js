// Refuses text for people outside the catalogue of messages: in what a component draws, in attributes that are read out or
// shown, and in strings that read like a sentence or a word of one.

/** Attributes and properties whose text somebody reads. */
const READ =
  /^(label|labelText|title|legend|legendText|helper|helperText|placeholder|text|lead|away|alt|aria-label|aria-description|aria-valuetext|summary|heading|invalidText|iconDescription|caption|hint|modalHeading|primaryButtonText|secondaryButtonText)$/;
/** Properties that hold codes, styles and formats. */
const CODE =
  /^(kind|type|code|key|mode|status|how|event|field|id|format|style|display|role|path|href|class|fontFamily|font|weekday|month|unit|for|locale|accept|toldApartBy)$/;
/** What takes codes, selectors or what goes into a log. */
const TAKES_CODE =
  /^(t|rich|table|depends|fetch|querySelector|querySelectorAll|addEventListener|removeEventListener|matchMedia|setAttribute|getAttribute|closest|matches|createHash|hash|update|digest|startsWith|endsWith|includes|split|join|replace|replaceAll|get|has|set|append|delete|getItem|setItem|removeItem|Error|RangeError|TypeError|SyntaxError|Refused|Unavailable|StorageFull|RegExp|URL|Worker|Map|Set|problem|goto|redirect|log|warn|error|console|within|unsafe|test|exec|match|namedId|keyOf|Event|CustomEvent)$/;
const NAMES_OF_KEYS =
  /^(Escape|Enter|Tab|Home|End|PageUp|PageDown|Arrow\w+|Backspace|Delete|GET|POST|PUT|UTC|JSON|Brote|AbortError|Content-Type)$/;

const hasLetters = (text) => /\p{L}{2,}/u.test(text.replaceAll('Brote', ''));

/** Whether a string reads like something said: words with a blank between them, or one with a capital. */
function isProse(text) {
  const trimmed = text.trim();
  if (!hasLetters(trimmed) || NAMES_OF_KEYS.test(trimmed)) return false;
  // Paths, addresses, selectors, functions of CSS, media types and zones.
  if (/^([./#$&?@<]|https?:|mailto:|--|var\(|url\(|rgb|translate|rotate|scale|matrix|M ?\d)/.test(trimmed))
    return false;
  if (/^[\w.+-]+\/[\w.+*-]+(;.*)?$/.test(trimmed)) return false;
  // Markup, and values of headers.
  if (/[\w-]+="|<\w+@|^(private|attachment)\b/.test(trimmed)) return false;
  if (/^[\w-]+: /.test(trimmed) && /;|px|rem/.test(trimmed)) return false;
  if (
    /\b(from|where|values|coalesce|interval|timestamptz|jsonb|float8|precision)\b/.test(trimmed) &&
    /[=(_.]|double/.test(trimmed)
  )
    return false;
  if (/\s/.test(trimmed)) {
    // Lists of classes, grid lines and such.
    if (/^[a-z0-9_ \-%.()]+$/.test(trimmed) && !/[a-z]{3,} [a-z]{2,}( [a-z]{2,})/.test(trimmed)) return false;
    return /\p{L}{2,}/u.test(trimmed);
  }
  return /^\p{Lu}\p{Ll}+[.:,!?]?$/u.test(trimmed);
}

const calleeOf = ({ callee }) =>
  (callee.type === 'MemberExpression' ? callee.property?.name : callee.name) ?? '';

/** Whether a string stands where a program reads it and no person. */
function isCode(node) {
  let child = node;
  for (let parent = node.parent; parent; child = parent, parent = parent.parent)
    switch (parent.type) {
      case 'ConditionalExpression':
        if (parent.test === child) return true;
        continue;
      case 'TemplateLiteral':
      case 'LogicalExpression':
      case 'TSAsExpression':
      case 'TSSatisfiesExpression':
      case 'ArrayExpression':
      case 'SpreadElement':
        continue;
      case 'BinaryExpression':
        if (parent.operator !== '+') return true;
        continue;
      case 'ImportDeclaration':
      case 'ImportExpression':
      case 'ExportNamedDeclaration':
      case 'ExportAllDeclaration':
      case 'TSLiteralType':
      case 'TSImportType':
      case 'TSExternalModuleReference':
      case 'TaggedTemplateExpression':
      case 'SwitchCase':
      case 'ThrowStatement':
        return true;
      case 'PropertyDefinition':
        // What a class of errors calls itself is for programs.
        return parent.key.name === 'name' || CODE.test(parent.key.name ?? '');
      case 'MemberExpression':
        return parent.property === child;
      case 'Property':
        return parent.key === child || CODE.test(parent.key.name ?? parent.key.value ?? '');
      case 'CallExpression':
      case 'NewExpression':
        return TAKES_CODE.test(calleeOf(parent)) || parent.callee.object?.name === 'console';
      case 'SvelteMustacheTag':
        if (parent.parent?.type !== 'SvelteAttribute') return false;
        return !READ.test(parent.parent.key.name) && !hasBlank(node);
      case 'SvelteAttribute':
        return !READ.test(parent.key.name);
      default:
        return false;
    }
  return false;
}

/** Whether a string goes into a message, or where text is shown: there a single small word is text too. */
function isShown(node) {
  for (let child = node, parent = node.parent; parent; child = parent, parent = parent.parent)
    switch (parent.type) {
      case 'ConditionalExpression':
        if (parent.test === child) return false;
        continue;
      case 'TemplateLiteral':
      case 'LogicalExpression':
      case 'ObjectExpression':
        continue;
      case 'Property':
        if (parent.key === child) return false;
        if (READ.test(parent.key.name ?? '') && child.type !== 'ObjectExpression') return true;
        continue;
      case 'CallExpression':
        return /^(t|rich)$/.test(calleeOf(parent)) && parent.arguments[0] !== child;
      default:
        return false;
    }
  return false;
}

/** Units are the same in every language; `yes` and `no` choose between the forms of a message. */
const isWord = (text) =>
  /\p{L}{2,}/u.test(text) && !/^(yes|no|kg|mL|ml|cm|mm|oz|lb|UTC|.*\d.*)$/.test(text.trim());

const textOf = (node) => (node.type === 'TemplateElement' ? node.value.cooked : String(node.value));
const hasBlank = (node) => /\p{L}\s+\p{L}/u.test(textOf(node));

/** @type {import('eslint').Rule.RuleModule} */
export const noProse = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { prose: 'Say “{{text}}” with a message of the catalogue: t(‘…’) from $messages/t.ts.' }
  },
  create(context) {
    const report = (node, text) =>
      context.report({ node, messageId: 'prose', data: { text: text.trim().slice(0, 60) } });
    const check = (node) => {
      const text = textOf(node);
      if (isShown(node) ? isWord(text) : isProse(text) && !isCode(node)) report(node, text);
    };
    return {
      Literal: (node) => typeof node.value === 'string' && check(node),
      TemplateElement: (node) => {
        if (hasLetters(node.value.cooked ?? '') && /\s/.test((node.value.cooked ?? '').trim())) check(node);
      },
      SvelteText: (node) => {
        if (
          node.parent.type !== 'SvelteStyleElement' &&
          node.parent.type !== 'SvelteScriptElement' &&
          hasLetters(node.value)
        )
          report(node, node.value);
      },
      SvelteLiteral: (node) => {
        if (
          node.parent.type === 'SvelteAttribute' &&
          (READ.test(node.parent.key.name) ||
            // A figure with words around it.
            (/^(value|beside)$/.test(node.parent.key.name) && node.parent.value.length > 1)) &&
          hasLetters(node.value)
        )
          report(node, node.value);
      }
    };
  }
};
