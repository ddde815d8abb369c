const fs = require('node:fs');
const path = require('node:path');
const ts = require('typescript');

/** The packages whose index exports everything. */
const PACKAGES = ['core', 'contract'];
const indexOf = (name) => path.resolve(__dirname, `../../../packages/${name}/src/index.ts`);

const FEATURES = path.resolve(__dirname, '../src/features');
const EXPORTED = /^export \{ (.*) \} from '\.\/(.*)';$/gm;
/** The index of a feature names each file that it exports from, one line each. */
const ofFeature = (feature) => {
  const text = fs.readFileSync(path.join(FEATURES, feature, 'index.ts'), 'utf8');
  return [...text.replace(/\n  /g, ' ').replace(/,?\n}/g, ' }').matchAll(EXPORTED)].flatMap(
    ([, names, from]) =>
      names.split(', ').map((one) => {
        const name = one.replace(/^type /, '');
        return [name, { file: path.join(FEATURES, feature, from), name }];
      }),
  );
};

/** For each name of each index: the file that defines it, and its name in that file. */
function definers() {
  const program = ts.createProgram(PACKAGES.map(indexOf), {
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    target: ts.ScriptTarget.ES2023,
    skipLibCheck: true,
    types: [],
  });
  const checker = program.getTypeChecker();
  const ofIndex = (name) =>
    checker
      .getExportsOfModule(checker.getSymbolAtLocation(program.getSourceFile(indexOf(name))))
      .map((symbol) => {
        const is = symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol;
        return [symbol.name, { file: is.declarations[0].getSourceFile().fileName, name: is.name }];
      });
  return Object.fromEntries([
    ...PACKAGES.map((name) => [`@kelmot/${name}`, Object.fromEntries(ofIndex(name))]),
    ...fs
      .readdirSync(FEATURES)
      .map((feature) => [`@/features/${feature}`, Object.fromEntries(ofFeature(feature))]),
  ]);
}

/**
 * Babel plugin: imports a name from the file that defines it, not from an index that exports everything. The bundler
 * takes whole files: through an index, one name would bring the calculations of every family.
 */
function fromDefiners({ types: t }, { names = definers() }) {
  const imports = (statement) => {
    const known = names[statement.source.value];
    const byFile = new Map();
    for (const one of statement.specifiers) {
      const { file, name } = known[one.imported.name];
      const specifier = t.importSpecifier(one.local, t.identifier(name));
      specifier.importKind = one.importKind;
      byFile.set(file, [...(byFile.get(file) ?? []), specifier]);
    }
    return [...byFile].map(([file, specifiers]) =>
      t.importDeclaration(specifiers, t.stringLiteral(file.replace(/\.tsx?$/, ''))),
    );
  };
  return {
    name: 'from-definers',
    visitor: {
      Program(program) {
        const gathered = program
          .get('body')
          .filter(
            (one) =>
              one.isImportDeclaration() &&
              one.node.importKind !== 'type' &&
              names[one.node.source.value] &&
              one.node.specifiers.every((specifier) => t.isImportSpecifier(specifier)),
          );
        for (const one of gathered) one.replaceWithMultiple(imports(one.node));
        if (gathered.length > 0) program.scope.crawl();
      },
    },
  };
}

module.exports = { definers, fromDefiners };
