/** What a coach can choose from: the catalogue and own variants. */
@NullMarked
package istmo.app.catalogue;

import org.jspecify.annotations.NullMarked;
