/** Whoever listens to all of a slice of the store is drawn again for all of it. */
export const noWholeSlice = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      whole:
        'Whoever listens to all of a slice is drawn again for all of it: ask for members by useBench or useSite.',
    },
  },
  create(context) {
    return {
      CallExpression({ callee, arguments: [asked] }) {
        if (callee.name !== 'useApp' || asked?.type !== 'ArrowFunctionExpression') return;
        const { body } = asked;
        if (body.type === 'MemberExpression' && body.object.name === 'state')
          context.report({ node: body, messageId: 'whole' });
      },
    };
  },
};
