/** A session as a telephone takes it to the floor. */
@NullMarked
package istmo.app.floor;

import org.jspecify.annotations.NullMarked;
