/** Rules of this house for the linter, which no package has. */
import { dirname, relative, resolve } from 'node:path';

/** The folder of a layer that a file lies in; '' for the layer's own files, null for another layer. */
function subjectOf(file, layer) {
  const path = relative(layer, file).split(/[\\/]/);
  if (path[0] === '..') return null;
  return path.length > 1 ? path[0] : '';
}

function fileOf(source, from, root) {
  if (source.startsWith('@/')) return resolve(root, 'src', source.slice(2));
  return source.startsWith('.') ? resolve(dirname(from), source) : null;
}

/**
 * Subjects of one layer stand in an order, and each imports only those before it: so there is no circle between them. One
 * without a place in the order may import any of these, and none may import it. The layer's own files are for all subjects
 * or collect them: those named in `collectors` may import any, and no subject them.
 */
const order = {
  meta: { type: 'problem', schema: [{ type: 'object' }] },
  create(context) {
    const { layers } = context.options[0];
    const root = context.cwd;
    const layer = Object.keys(layers).find((each) => subjectOf(context.filename, resolve(root, each)) !== null);
    if (!layer) return {};
    const folder = resolve(root, layer);
    const { subjects, collectors } = layers[layer];
    const here = subjectOf(context.filename, folder);
    const nameOf = (file) => relative(folder, file).replace(/\.[a-z.]+$/, '');
    const collects = here === '' && collectors.includes(nameOf(context.filename));
    const isTest = /\.test\.tsx?$/.test(context.filename);

    function check(node, source) {
      if (typeof source !== 'string' || isTest || collects) return;
      const file = fileOf(source, context.filename, root);
      const there = file === null ? null : subjectOf(file, folder);
      if (there === null || there === here) return;
      const say = (message) => context.report({ node, message });
      if (there === '') {
        if (collectors.includes(nameOf(file)))
          say(`“${nameOf(file)}” collects the subjects: none of them may import it.`);
      } else if (here === '') say(`“${nameOf(context.filename)}” serves every subject: it may import none.`);
      else if (!subjects.includes(there))
        say(`“${there}” has no place in the order of the subjects of ${layer}, so that none may import it.`);
      else if (subjects.includes(here) && subjects.indexOf(there) > subjects.indexOf(here))
        say(`“${here}” stands before “${there}” in the order of the subjects of ${layer}, so that there is no circle.`);
    }
    return {
      ImportDeclaration: (node) => check(node, node.source.value),
      ExportNamedDeclaration: (node) => node.source && check(node, node.source.value),
      ExportAllDeclaration: (node) => check(node, node.source.value),
      ImportExpression: (node) => check(node, node.source.value),
    };
  },
};

export default { meta: { name: 'house' }, rules: { order } };
