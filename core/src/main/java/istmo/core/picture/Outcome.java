package istmo.core.picture;

/** What comes of a picture from the side: a reading, or why there is none. */
public sealed interface Outcome permits TechniqueReading, PictureReading.NotSeen {}
