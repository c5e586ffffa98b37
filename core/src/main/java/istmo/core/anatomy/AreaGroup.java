package istmo.core.anatomy;

/** What coaches name together: a group of regions, or the lower back, which is one of its own. */
public sealed interface AreaGroup permits RegionGroup, BodyArea.Back {
  /** Identity in stored documents and addresses. */
  String id();

  /** The coach's word. */
  String word();
}
