/** What a client's record says and teaches, with the coach's answers. */
@NullMarked
package istmo.app.record;

import org.jspecify.annotations.NullMarked;
