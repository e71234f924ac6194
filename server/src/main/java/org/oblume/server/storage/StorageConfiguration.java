package org.oblume.server.storage;

import com.zaxxer.hikari.HikariDataSource;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.autoconfigure.transaction.TransactionManagerCustomizers;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.LazyConnectionDataSourceProxy;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionManager;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

@Configuration(proxyBeanMethods = false)
class StorageConfiguration {

    /** Before the first connection is made. */
    @Bean
    static BeanFactoryPostProcessor journaledFiles() {
        JournaledFiles.register();
        return factory -> {};
    }

    /** A connection is taken from the pool for the first statement, not for the transaction: most calls are answered from what is kept. */
    @Bean
    static BeanPostProcessor connectionsWhenNeeded() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof HikariDataSource pool ? new LazyConnectionDataSourceProxy(pool) : bean;
            }
        };
    }

    @Bean
    DurableTransactionManager transactionManager(
            RecordFile file, DiskRoom room, ObjectProvider<TransactionManagerCustomizers> customizers) {
        DurableTransactionManager manager = new DurableTransactionManager(file.sync(), room);
        customizers.ifAvailable(all -> all.customize((TransactionManager) manager));
        return manager;
    }

    /** That somebody was here is not waited for: whoever loses a session signs in again. */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations(DataSource database) {
        TransactionTemplate sessions = new TransactionTemplate(new JdbcTransactionManager(database));
        sessions.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return sessions;
    }
}
