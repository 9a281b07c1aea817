/**
 * Whatever a file of the core gives to others says what it is for: a reader meets it there, without what is around it.
 * A type of the name of a value says nothing of its own.
 */
export const documented = {
  meta: {
    type: 'problem',
    messages: {
      bare: '“{{name}}” is given to others and does not say what it is for: a doc comment.',
    },
    schema: [],
  },
  create(context) {
    const source = context.sourceCode;
    const hasWords = (node) => {
      const before = source.getCommentsBefore(node).at(-1);
      return before?.type === 'Block' && before.value.startsWith('*');
    };
    const check = (node, name) => {
      if (!hasWords(node)) context.report({ node, messageId: 'bare', data: { name } });
    };
    return {
      Program({ body }) {
        const values = new Set();
        for (const { declaration } of body.filter(({ type }) => type === 'ExportNamedDeclaration'))
          for (const { id } of declaration?.declarations ?? []) values.add(id.name);
        for (const node of body) {
          if (node.type !== 'ExportNamedDeclaration' || !node.declaration) continue;
          const { declaration } = node;
          const names = declaration.declarations?.map(({ id }) => id.name) ?? [
            declaration.id?.name,
          ];
          const isTwin = declaration.type === 'TSTypeAliasDeclaration' && values.has(names[0]);
          // What a function is for its several calls stands at the first.
          if (!isTwin && declaration.type !== 'TSDeclareFunction') check(node, names.join(', '));
          for (const member of declaration.type === 'ClassDeclaration' ? declaration.body.body : [])
            if (
              member.type === 'MethodDefinition' &&
              member.kind === 'method' &&
              member.accessibility !== 'private'
            )
              check(member, `${names[0]}.${source.getText(member.key)}`);
        }
      },
    };
  },
};
