/** Sessions, their exercises and sets. */
@NullMarked
package istmo.app.sessions;

import org.jspecify.annotations.NullMarked;
