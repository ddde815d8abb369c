/** The box that a section is drawn for, in points. Apart from what draws it: who asks for the drawing fits it to this. */
export const SECTION_BOX = { width: 500, height: 190 };
