/** Things found by what people call them. */
@NullMarked
package istmo.core.search;

import org.jspecify.annotations.NullMarked;
