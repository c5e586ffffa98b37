package istmo.app.record;

import istmo.core.record.Lesson;

/**
 * A proposal that was accepted, as it stands on the floor.
 *
 * @param words the instruction as it read when it was accepted
 */
public record Taken(Lesson.Act act, String words) {}
