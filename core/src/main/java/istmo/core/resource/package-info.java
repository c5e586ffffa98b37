/** Reading of the core's own tables. */
@NullMarked
package istmo.core.resource;

import org.jspecify.annotations.NullMarked;
