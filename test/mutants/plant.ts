import ts from 'typescript';

/**
 * A small fault that may be planted in a file: what stands at a place, and what would stand there instead.
 */
export interface Fault {
  readonly file: string;
  /** characters from the beginning of the file */
  readonly from: number;
  readonly to: number;
  readonly was: string;
  readonly is: string;
  /** the named function that it stands in; empty: in none */
  readonly inside: string;
  /** what it is known by wherever it moves in the file: the line it stands in, and what is changed in it */
  readonly name: string;
}

const SWAPS: Readonly<Record<string, string>> = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '<': '>=',
  '<=': '>',
  '>': '<=',
  '>=': '<',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
  '+=': '-=',
  '-=': '+=',
};

const CALLS: Readonly<Record<string, string>> = {
  max: 'min',
  min: 'max',
  floor: 'ceil',
  ceil: 'floor',
  some: 'every',
  every: 'some',
};

/** Figures below this are tolerances. */
const TOLERANCE = 1e-4;

/** A figure a tenth larger; nothing becomes one, one becomes nothing. */
const figure = (text: string): string | undefined => {
  const value = Number(text.replaceAll('_', ''));
  if (!Number.isFinite(value)) return undefined;
  // of a tolerance nothing is noticed until it is another by far
  if (Math.abs(value) > 0 && Math.abs(value) < TOLERANCE) return undefined;
  if (value === 0) return '1';
  return value === 1 ? '0' : String(Number((value * 1.1).toPrecision(6)));
};

/** A place where a figure or a truth is data of the program, and no type. */
const isType = (node: ts.Node): boolean => ts.isTypeNode(node) || ts.isImportDeclaration(node);

/** What the language asks for where a list is indexed, though what is asked for is always there. */
const standsIn = ({ parent }: ts.Node): boolean =>
  ts.isBinaryExpression(parent) &&
  parent.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken &&
  ts.isElementAccessExpression(parent.left);

/** What a function is called, as the engine calls it; undefined: it is none, or has no name. */
function nameOf(node: ts.Node): string | undefined {
  if (ts.isFunctionDeclaration(node) || ts.isMethodDeclaration(node)) return node.name?.getText();
  if (!ts.isArrowFunction(node) && !ts.isFunctionExpression(node)) return undefined;
  const { parent } = node;
  if (ts.isVariableDeclaration(parent) || ts.isPropertyAssignment(parent))
    return parent.name.getText().replaceAll(/^'|'$/g, '');
  return undefined;
}

/**
 * Every small fault that can be planted in the text of a file. Faults in words that are only shown are none.
 */
export function faultsIn(file: string, text: string): readonly Fault[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const faults: Fault[] = [];
  let inside = '';
  const put = (from: number, to: number, is: string): void => {
    const was = text.slice(from, to);
    const start = text.lastIndexOf('\n', from - 1) + 1;
    const end = text.indexOf('\n', from);
    const line = text.slice(start, end < 0 ? undefined : end).trim();
    const before = text.slice(start, from).trimStart().length;
    faults.push({
      file,
      from,
      to,
      was,
      is,
      inside,
      name: `${file}: ${line} [${before}: ${was} -> ${is}]`.replaceAll(/\s+/g, ' '),
    });
  };
  const visit = (node: ts.Node): void => {
    if (isType(node)) return;
    const outer = inside;
    inside = nameOf(node) ?? outer;
    if (ts.isBinaryExpression(node)) {
      const operator = node.operatorToken.getText();
      const swap = SWAPS[operator];
      const words = [node.left, node.right].some(
        (n) => ts.isStringLiteralLike(n) || ts.isTemplateExpression(n),
      );
      if (swap !== undefined && !(words && operator === '+'))
        put(node.operatorToken.getStart(), node.operatorToken.getEnd(), swap);
    }
    if (ts.isNumericLiteral(node) && !ts.isElementAccessExpression(node.parent) && !standsIn(node)) {
      const is = figure(node.getText());
      if (is !== undefined) put(node.getStart(), node.getEnd(), is);
    }
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node.getStart(), node.getEnd(), 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node.getStart(), node.getEnd(), 'true');
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent)) {
      const swap = CALLS[node.name.text];
      if (swap !== undefined) put(node.name.getStart(), node.name.getEnd(), swap);
    }
    if (ts.isConditionalExpression(node)) {
      const { condition } = node;
      put(condition.getStart(), condition.getEnd(), `!(${condition.getText()})`);
    }
    if (ts.isIfStatement(node)) {
      const { expression } = node;
      put(expression.getStart(), expression.getEnd(), `!(${expression.getText()})`);
    }
    // one of several summands or factors is left out
    if (
      ts.isCallExpression(node) &&
      ts.isPropertyAccessExpression(node.expression) &&
      node.expression.name.text === 'filter'
    )
      put(node.getStart(), node.getEnd(), node.expression.expression.getText());
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      put(node.getStart(), node.getEnd(), node.operand.getText());
    ts.forEachChild(node, visit);
    inside = outer;
  };
  visit(source);
  return faults;
}
