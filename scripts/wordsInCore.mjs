import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { filesBelow } from './files.mjs';

/** Two words with a space between them: more than a code or a unit. */
const SENTENCE = /\p{L}{2,}[,;:]? \p{L}{2,}/u;

/**
 * Texts in `src/core` that a person would read: they belong in `src/words`. What is thrown is for developers, and what a
 * schema says of itself is for its reader.
 *
 * @param {string} projectFolder the folder that holds `src`
 * @returns {string[]} each as “words-in-core: file:line text”
 */
export function wordsInCore(projectFolder) {
  const files = filesBelow([join(projectFolder, 'src/core')], '.ts').filter(
    (path) => !path.endsWith('.test.ts'),
  );
  return files.flatMap((path) => {
    const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
    /** @type {string[]} */
    const found = [];
    /** @param {ts.Node} node */
    const visit = (node) => {
      if (ts.isThrowStatement(node) || ts.isImportDeclaration(node) || isDescribing(node) || isRead(node))
        return;
      if (ts.isStringLiteralLike(node) || isTemplatePart(node)) {
        if (SENTENCE.test(node.text)) {
          const { line } = source.getLineAndCharacterOfPosition(node.getStart());
          found.push(
            `words-in-core: ${path.slice(projectFolder.length + 1)}:${line + 1} ${node.text.trim()}`,
          );
        }
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
    return found;
  });
}

/** @param {ts.Node} node @returns {node is ts.TemplateLiteralLikeNode} */
function isTemplatePart(node) {
  return ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node);
}

/** What a person may type for a unit is read, not said. @param {ts.Node} node */
function isRead(node) {
  return ts.isPropertyAssignment(node) && ['names', 'symbol'].includes(node.name.getText());
}

/** @param {ts.Node} node */
function isDescribing(node) {
  return (
    ts.isCallExpression(node) &&
    ts.isPropertyAccessExpression(node.expression) &&
    node.expression.name.text === 'describe'
  );
}
