/** The feature's rows. */
@NullMarked
package istmo.app.catalogue.persistence;

import org.jspecify.annotations.NullMarked;
