import { ESLintUtils } from '@typescript-eslint/utils';

/** What reads an object as a record. */
const READS = new Set(['keys', 'values', 'entries', 'assign', 'hasOwn', 'getOwnPropertyNames']);

/** `Documents` is no record: read as one it is empty, and nothing says so. See docs/decisions/a-class-of-documents.md. */
export const noRecordOfDocuments = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      record: 'Documents is no record: ask it by get, ofKind or all, or go through it.',
    },
  },
  create(context) {
    const services = ESLintUtils.getParserServices(context);
    const isDocuments = (node) =>
      services.getTypeAtLocation(node).getSymbol()?.getName() === 'Documents';
    const report = (node) => context.report({ node, messageId: 'record' });
    return {
      CallExpression({ callee, arguments: given }) {
        if (callee.type !== 'MemberExpression' || callee.object.name !== 'Object') return;
        if (!READS.has(callee.property.name)) return;
        for (const each of given)
          if (each.type !== 'SpreadElement' && isDocuments(each)) report(each);
      },
      'ForInStatement > .right'(node) {
        if (isDocuments(node)) report(node);
      },
      'ObjectExpression > SpreadElement'({ argument }) {
        if (isDocuments(argument)) report(argument);
      },
    };
  },
};
