// Reads a DXF with a package that knows nothing of this project; prints its layers and entities as JSON.
import { createRequire } from 'node:module';
import { join } from 'node:path';

const Parser = createRequire(join(process.argv[2], 'package.json'))('dxf-parser');
let text = '';
for await (const chunk of process.stdin) text += chunk;
const reader = new (Parser.default ?? Parser)();
const drawing = reader.parseSync(text);
process.stdout.write(JSON.stringify({ layers: Object.keys(drawing.tables.layer.layers), entities: drawing.entities }));
