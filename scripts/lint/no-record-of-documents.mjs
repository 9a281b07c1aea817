/**
 * `Documents` is no record: gone through as one it is empty, and nothing says so. What else reads an object as a record is
 * refused by its types: `Object.keys` and its like by core/model/no-record.d.ts, spreading by no-misused-spread. See
 * docs/decisions/a-class-of-documents.md.
 */
export const noRecordOfDocuments = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      record: 'Documents is no record: ask it by get, ofKind or all, or go through it.',
    },
  },
  create(context) {
    return {
      ForInStatement({ right }) {
        const name = right.type === 'MemberExpression' ? right.property.name : right.name;
        if (name === 'documents') context.report({ node: right, messageId: 'record' });
      },
    };
  },
};
