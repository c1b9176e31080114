// Of tables and tabs, which the first look at a set has none of: they come with the parts that do.
import '@mantine/core/styles/Table.css';
import '@mantine/core/styles/Tabs.css';
