import { z } from 'zod';
import { meshQuery } from './answer';

/** A small closed body as text, for the example: a sixth of a cube of 30 mm. */
const TETRAHEDRON_STL = `solid wedge
${[
	[0, 2, 1],
	[0, 1, 3],
	[0, 3, 2],
	[1, 2, 3]
]
	.map(
		(face) =>
			`facet normal 0 0 0\nouter loop\n${face
				.map((i) => `vertex ${[1, 2, 3].map((axis) => (axis === i ? 30 : 0)).join(' ')}`)
				.join('\n')}\nendloop\nendfacet`
	)
	.join('\n')}
endsolid wedge
`;

/** `mesh` of the open interface, as the list describes it: its body is the file itself. */
export const MESH_CALCULATION = {
	name: 'mesh',
	about:
		'Volume, holes, air traps and undercuts of a 3D file. The file is the raw body; this schema is the query’s.',
	body: 'an STL, OBJ, PLY or 3MF file',
	schema: z.toJSONSchema(meshQuery, { io: 'input', unrepresentable: 'any' }),
	example: { query: 'unit=mm&up=0,0,1&pull=0,1,0&name=wedge.stl', body: TETRAHEDRON_STL }
};
