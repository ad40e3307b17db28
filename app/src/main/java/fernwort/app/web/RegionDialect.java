package fernwort.app.web;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.AbstractDialect;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Has every page say things as its reader's region does: who reads US gallons reads "faucet" and
 * "city water" too. Pages and sentences are written once, with the words of {@link RegionWords}.
 */
@Component
class RegionDialect extends AbstractDialect implements IPostProcessorDialect {

  private static final int PRECEDENCE = 1000;

  RegionDialect() {
    super("region");
  }

  @Override
  public int getDialectPostProcessorPrecedence() {
    return PRECEDENCE;
  }

  @Override
  public Set<IPostProcessor> getPostProcessors() {
    return Set.of(new PostProcessor(TemplateMode.HTML, RegionHandler.class, PRECEDENCE));
  }
}
