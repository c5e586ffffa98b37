/** Schools that a coach can judge by. */
@NullMarked
package istmo.app.schools;

import org.jspecify.annotations.NullMarked;
