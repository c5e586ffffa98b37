/** Exercises and their named set-ups, read from tables and checked at start. */
@NullMarked
package istmo.core.catalogue;

import org.jspecify.annotations.NullMarked;
