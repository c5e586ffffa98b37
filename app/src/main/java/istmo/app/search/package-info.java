/** Finding things by what people call them. */
@NullMarked
package istmo.app.search;

import org.jspecify.annotations.NullMarked;
