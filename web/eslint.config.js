import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

// Every text stands in a catalogue: no words are written between tags, in braces or in the code. Names of keys and signs, and
// what a program reads, are none.
const TEXT = 'Texts stand in the catalogues under src/text: t(…).'
const SIGNS = [...'(),.;:&+-=*/#%!?[]{}<>·•–—−|×±→“”’…°²']
const IN_BRACES = 'VElement > VExpressionContainer'
const inTemplates = [
  `${IN_BRACES} :matches(ConditionalExpression, LogicalExpression) > Literal[value=/[A-Za-z]/]`,
  `${IN_BRACES} > Literal[value=/[A-Za-z]/]`,
  `${IN_BRACES} TemplateElement[value.raw=/[A-Za-z]/]`,
  'VAttribute[directive=false][key.name=/^(aria-label|hint|label|name|noun|placeholder|says|stage|text|title)$/] > VLiteral[value=/^[A-Z][a-z]|[a-z] [a-z]/]',
  'VAttribute[directive=true] ConditionalExpression > Literal[value=/^[A-Z][a-z]/]',
  'VAttribute[directive=true][key.argument.name=/^(aria-label|hint|label|placeholder|text|title)$/] Literal[value=/^[A-Z]| [a-z]/]',
]
const READ_BY_PROGRAMS =
  'BinaryExpression, SwitchCase, ImportDeclaration, ExportNamedDeclaration, TSLiteralType, MemberExpression, ' +
  'Property[key.name="fontFamily"], ' +
  'CallExpression[callee.object.name="api"], CallExpression[callee.property.name=/^(closest|querySelector|querySelectorAll)$/]'
const KEYS = '/^(align|field|file|id|key|kind|length|of|position|slot|test|type|value|word)$/'
const inCode = [
  'Property[key.name=/^(hint|label|legend|says|text|title)$/] > Literal.value[value=/[a-z]{3}/]',
  `:not(${READ_BY_PROGRAMS}) > Literal[value=/^[A-Z][a-z]|^[A-Za-z, ]+ [a-z]/]`,
  'TemplateElement[value.raw=/[A-Za-z]{2,} [a-z]{2,}|^[A-Z][a-z]{2,}/]',
  // A single small word is told from a key by the texts it stands beside.
  `ObjectExpression:has(> Property:has(> CallExpression[callee.name="t"])) > Property:not([key.name=${KEYS}]) > Literal.value[value=/^[a-z ]{3,}$/]`,
  `:matches(ConditionalExpression, LogicalExpression):has(> CallExpression[callee.name="t"]) > Literal[value=/[a-z]/]`,
]
const forbidden = (selectors) => ['error', ...selectors.map((selector) => ({ selector, message: TEXT }))]

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    files: ['src/**/*.vue', 'src/**/*.ts'],
    ignores: ['src/api/client.ts'],
    rules: { 'no-restricted-syntax': forbidden(inCode) },
  },
  {
    files: ['src/**/*.vue'],
    rules: {
      'vue/no-bare-strings-in-template': ['error', { allowlist: SIGNS }],
      'vue/no-restricted-syntax': forbidden(inTemplates),
    },
  },
  {
    files: ['src/**/*.vue', 'src/**/*.ts'],
    rules: { 'max-lines': ['error', 300] },
  },
  {
    rules: {
      // Layout is Prettier's business.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/component-api-style': ['error', ['script-setup']],
      'no-undef': 'off',
    },
  },
)
