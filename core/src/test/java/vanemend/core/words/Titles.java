package vanemend.core.words;

import java.util.List;
import java.util.concurrent.Callable;
import vanemend.core.stack.Recipe;

/** How methods and their ways are called. */
public final class Titles implements Callable<List<String>> {
    @Override
    public List<String> call() {
        return Recipe.all().stream().map(r -> r.title() + " " + r.name()).toList();
    }
}
