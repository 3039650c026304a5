import archivoBlack from '@fontsource/archivo-black/files/archivo-black-latin-400-normal.woff?url';
import archivoBlackExt from '@fontsource/archivo-black/files/archivo-black-latin-ext-400-normal.woff?url';
import cairo from '@fontsource/cairo/files/cairo-latin-700-normal.woff?url';
import cairoArabic from '@fontsource/cairo/files/cairo-arabic-700-normal.woff?url';
import cairoExt from '@fontsource/cairo/files/cairo-latin-ext-700-normal.woff?url';
import dancingScript from '@fontsource/dancing-script/files/dancing-script-latin-700-normal.woff?url';
import dancingScriptExt from '@fontsource/dancing-script/files/dancing-script-latin-ext-700-normal.woff?url';
import heebo from '@fontsource/heebo/files/heebo-latin-700-normal.woff?url';
import heeboExt from '@fontsource/heebo/files/heebo-latin-ext-700-normal.woff?url';
import heeboHebrew from '@fontsource/heebo/files/heebo-hebrew-700-normal.woff?url';
import montserrat from '@fontsource/montserrat/files/montserrat-latin-700-normal.woff?url';
import montserratCyrillic from '@fontsource/montserrat/files/montserrat-cyrillic-700-normal.woff?url';
import montserratExt from '@fontsource/montserrat/files/montserrat-latin-ext-700-normal.woff?url';
import mukta from '@fontsource/mukta/files/mukta-latin-700-normal.woff?url';
import muktaDevanagari from '@fontsource/mukta/files/mukta-devanagari-700-normal.woff?url';
import muktaExt from '@fontsource/mukta/files/mukta-latin-ext-700-normal.woff?url';
import pacifico from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff?url';
import pacificoCyrillic from '@fontsource/pacifico/files/pacifico-cyrillic-400-normal.woff?url';
import pacificoExt from '@fontsource/pacifico/files/pacifico-latin-ext-400-normal.woff?url';
import playfair from '@fontsource/playfair-display/files/playfair-display-latin-700-normal.woff?url';
import playfairCyrillic from '@fontsource/playfair-display/files/playfair-display-cyrillic-700-normal.woff?url';
import playfairExt from '@fontsource/playfair-display/files/playfair-display-latin-ext-700-normal.woff?url';
import saira from '@fontsource/saira-stencil-one/files/saira-stencil-one-latin-400-normal.woff?url';
import sairaExt from '@fontsource/saira-stencil-one/files/saira-stencil-one-latin-ext-400-normal.woff?url';
import hershey from '../../../core/faces/generated/hershey-sans.otf?url';

/** Where the outlines of each face lie: the common letters first, then its other alphabets. */
export const FACE_FILES: Record<string, readonly string[]> = {
  pacifico: [pacifico, pacificoExt, pacificoCyrillic],
  'dancing-script': [dancingScript, dancingScriptExt],
  montserrat: [montserrat, montserratExt, montserratCyrillic],
  'archivo-black': [archivoBlack, archivoBlackExt],
  cairo: [cairo, cairoExt, cairoArabic],
  heebo: [heebo, heeboExt, heeboHebrew],
  mukta: [mukta, muktaExt, muktaDevanagari],
  'playfair-display': [playfair, playfairExt, playfairCyrillic],
  'saira-stencil-one': [saira, sairaExt],
  'hershey-sans': [hershey],
};
