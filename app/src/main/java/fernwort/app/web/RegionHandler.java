package fernwort.app.web;

import fernwort.app.units.Units;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.IAttribute;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.model.IStandaloneElementTag;
import org.thymeleaf.model.IText;

/**
 * Goes along a page as it is written and says its words as the reader's region does. What lies in
 * an element with the attribute {@code data-typed}, and what stands in fields, stays as somebody
 * typed it.
 */
public final class RegionHandler extends AbstractTemplateHandler {

  private static final List<String> SPOKEN = List.of("aria-label", "title", "placeholder", "alt");
  private static final String TYPED = "data-typed";

  private @Nullable RegionWords words;
  private @Nullable String typed;
  private int depth;

  /** Made by the template engine, for each page anew. */
  public RegionHandler() {
    // Begins with setContext.
  }

  @Override
  public void setContext(ITemplateContext context) {
    super.setContext(context);
    words =
        context.getVariable("units") instanceof Units units && units.american()
            ? new RegionWords(names(context.getVariable("typedNames")))
            : null;
  }

  private static List<String> names(@Nullable Object variable) {
    return variable instanceof Collection<?> names
        ? names.stream().map(String::valueOf).toList()
        : List.of();
  }

  @Override
  public void handleText(IText text) {
    super.handleText(
        words == null || typed != null
            ? text
            : getContext().getModelFactory().createText(words.american(text.getText())));
  }

  @Override
  public void handleOpenElement(IOpenElementTag tag) {
    if (words == null) {
      super.handleOpenElement(tag);
      return;
    }
    String name = tag.getElementCompleteName();
    if (typed == null && (tag.hasAttribute(TYPED) || name.equals("textarea"))) {
      typed = name;
      depth = 0;
    }
    if (name.equals(typed)) {
      depth++;
    }
    super.handleOpenElement(spoken(tag));
  }

  @Override
  public void handleStandaloneElement(IStandaloneElementTag tag) {
    super.handleStandaloneElement(spoken(tag));
  }

  @Override
  public void handleCloseElement(ICloseElementTag tag) {
    if (tag.getElementCompleteName().equals(typed) && --depth == 0) {
      typed = null;
    }
    super.handleCloseElement(tag);
  }

  private <T extends IProcessableElementTag> T spoken(T tag) {
    if (words == null || typed != null) {
      return tag;
    }
    T said = tag;
    for (String name : SPOKEN) {
      IAttribute attribute = said.getAttribute(name);
      if (attribute != null && attribute.getValue() != null) {
        String american = words.american(attribute.getValue());
        if (!american.equals(attribute.getValue())) {
          said = getContext().getModelFactory().setAttribute(said, name, american);
        }
      }
    }
    return said;
  }
}
