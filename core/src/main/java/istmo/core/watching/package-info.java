/** Repetitions in a position signal, beside what was prescribed. */
@NullMarked
package istmo.core.watching;

import org.jspecify.annotations.NullMarked;
