import archivoBlack from '@fontsource/archivo-black/files/archivo-black-latin-400-normal.woff?url';
import archivoBlackExt from '@fontsource/archivo-black/files/archivo-black-latin-ext-400-normal.woff?url';
import dancingScript from '@fontsource/dancing-script/files/dancing-script-latin-700-normal.woff?url';
import dancingScriptExt from '@fontsource/dancing-script/files/dancing-script-latin-ext-700-normal.woff?url';
import montserrat from '@fontsource/montserrat/files/montserrat-latin-700-normal.woff?url';
import montserratExt from '@fontsource/montserrat/files/montserrat-latin-ext-700-normal.woff?url';
import pacifico from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff?url';
import pacificoExt from '@fontsource/pacifico/files/pacifico-latin-ext-400-normal.woff?url';
import playfair from '@fontsource/playfair-display/files/playfair-display-latin-700-normal.woff?url';
import playfairExt from '@fontsource/playfair-display/files/playfair-display-latin-ext-700-normal.woff?url';
import saira from '@fontsource/saira-stencil-one/files/saira-stencil-one-latin-400-normal.woff?url';
import sairaExt from '@fontsource/saira-stencil-one/files/saira-stencil-one-latin-ext-400-normal.woff?url';
import hershey from '../../../core/faces/generated/hershey-sans.otf?url';

/** Where the outlines of each face lie: latin and latin-ext together. */
export const FACE_FILES: Record<string, readonly string[]> = {
  pacifico: [pacifico, pacificoExt],
  'dancing-script': [dancingScript, dancingScriptExt],
  montserrat: [montserrat, montserratExt],
  'archivo-black': [archivoBlack, archivoBlackExt],
  'playfair-display': [playfair, playfairExt],
  'saira-stencil-one': [saira, sairaExt],
  'hershey-sans': [hershey],
};
