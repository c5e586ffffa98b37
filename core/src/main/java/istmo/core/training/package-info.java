/** Single sets, one-repetition equations, strength from known lifts, first loads. */
@NullMarked
package istmo.core.training;

import org.jspecify.annotations.NullMarked;
