import ts from 'typescript'

/** One small wrong change of a source file. */
export interface Mutant {
  file: string
  line: number
  /** As it stands, and as the mutant has it. */
  was: string
  is: string
  start: number
  end: number
}

const OPERATORS: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
}
const CALLS = new Map([
  ['min', 'max'],
  ['max', 'min'],
  ['some', 'every'],
  ['every', 'some'],
])

/** Every mutant of a file: operators, numbers, truths, conditions, least and greatest, calls left out. */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const found: Mutant[] = []
  const add = (node: ts.Node, is: string) => {
    const start = node.getStart(source)
    const line = source.getLineAndCharacterOfPosition(start).line + 1
    found.push({ file, line, was: node.getText(source), is, start, end: node.getEnd() })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isInterfaceDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const other = OPERATORS[node.operatorToken.kind]
      const joinsText = node.operatorToken.kind === ts.SyntaxKind.PlusToken && /['"`]/.test(node.getText(source))
      if (other && !joinsText) add(node.operatorToken, other)
      if (node.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken) add(node, node.right.getText(source))
    }
    if (ts.isNumericLiteral(node)) add(node, `${Number(node.text) === 0 ? 1 : Number(node.text) * 2}`)
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true')
    if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText(source)})`)
    if (ts.isConditionalExpression(node)) add(node.condition, `!(${node.condition.getText(source)})`)
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent)) {
      const other = CALLS.get(node.name.text)
      if (other) add(node.name, other)
    }
    if (ts.isExpressionStatement(node) && /^(await |void )?[\w.]+\(/.test(node.getText(source))) add(node, ';')
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** The file with the mutant in it. */
export const mutated = (text: string, { start, end, is }: Mutant): string => text.slice(0, start) + is + text.slice(end)
