/** A day of many coaches, asked of a running Istmo from outside. */
@NullMarked
package istmo.load;

import org.jspecify.annotations.NullMarked;
