/**
 * Data spread into a call overflows the stack once there is enough of it: `leastOf`, `mostOf` and `append` take any
 * amount.
 */
const rule = {
  meta: { type: 'problem', schema: [] },
  create: (context) => ({
    CallExpression(call) {
      const { callee } = call;
      const spread = call.arguments.find((one) => one.type === 'SpreadElement');
      if (!spread || callee.type !== 'MemberExpression') return;
      if (callee.object.type === 'Identifier' && callee.object.name === 'Math')
        context.report({ node: spread, message: 'leastOf and mostOf take any number of values' });
      if (callee.property.type === 'Identifier' && /^(push|unshift)$/.test(callee.property.name))
        context.report({ node: spread, message: 'append takes any number of items' });
    },
  }),
};

export default { meta: { name: 'data' }, rules: { 'no-spread': rule } };
